import { useEffect, useRef, type RefObject } from 'react'

/** A form whose answers are kept when the cook leaves one that was changed, not only when the button is pressed. */
export function useKeptOnLeaving(isChanged: boolean): RefObject<HTMLFormElement | null> {
  const form = useRef<HTMLFormElement>(null)
  useEffect(() => {
    const said = form.current
    const left = ({ relatedTarget: to }: FocusEvent) => {
      const willAsk = to instanceof HTMLButtonElement && to.form === said && to.type === 'submit'
      if (isChanged && !willAsk) said?.requestSubmit()
    }
    said?.addEventListener('focusout', left)
    return () => {
      said?.removeEventListener('focusout', left)
    }
  }, [isChanged])
  return form
}
