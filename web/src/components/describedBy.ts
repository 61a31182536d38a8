/** A ref that says what describes a field of Headless UI, which names only descriptions of its own making. */
export function describedBy(id: string) {
  return (field: HTMLElement | null) => {
    field?.setAttribute('aria-describedby', id)
  }
}
