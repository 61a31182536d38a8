interface Mix {
  title: string
  lines: string[]
}

/** A pasted text that holds two mixes or more: which of them shall be taken. */
export function WhichMix({
  mixes,
  onTake,
}: {
  mixes: Mix[]
  onTake: (lines: string[], title: string) => void
}) {
  return (
    <div role="group" aria-label="Which mix?" className="grid gap-2">
      <p>This looks like {mixes.length} mixes. Which one?</p>
      {mixes.map((mix, number) => (
        <button
          key={number}
          type="button"
          className="act text-left"
          onClick={() => {
            onTake(mix.lines, mix.title)
          }}
        >
          {mix.title === '' ? `The list that starts with ${mix.lines[0] ?? ''}` : mix.title} (
          {mix.lines.length} {mix.lines.length === 1 ? 'line' : 'lines'})
        </button>
      ))}
      <button
        type="button"
        className="act text-left"
        onClick={() => {
          onTake(
            mixes.flatMap((mix) => mix.lines),
            '',
          )
        }}
      >
        All of it as one mix
      </button>
    </div>
  )
}
