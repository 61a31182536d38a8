import { useRef, type ReactNode } from 'react'

/** A button that lets a file be chosen, for screen readers and keyboards as well. */
export function FileButton(props: {
  name: string
  accept: string
  children: ReactNode
  onFile: (file: File) => void
}) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <button type="button" className="act" onClick={() => input.current?.click()}>
        {props.children}
      </button>
      <input
        ref={input}
        type="file"
        accept={props.accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={props.name}
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) props.onFile(file)
        }}
      />
    </>
  )
}
