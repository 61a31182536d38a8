import type { RailSpan } from './useRailSpan'

const KEYS = 'Keys: + and - look nearer and wider, arrows move along, Home goes to now, Escape shows all'

/** Nearer, wider, now, all: for who has neither wheel nor keys. */
export function RailNearer({ span }: { span: RailSpan }) {
  const button =
    'grid h-7 min-w-8 cursor-pointer place-items-center rounded-sm border-2 border-rule bg-paper px-1.5 text-[0.85rem] hover:border-enamel'
  return (
    <div className="absolute top-0.5 right-1 flex gap-1">
      <button
        type="button"
        className={button}
        aria-label="Nearer in time"
        title={KEYS}
        onKeyDown={span.onKeyDown}
        onClick={() => {
          span.zoom(0.5, 0.3)
        }}
      >
        +
      </button>
      <button
        type="button"
        className={button}
        aria-label="Wider in time"
        title={KEYS}
        onKeyDown={span.onKeyDown}
        onClick={() => {
          span.zoom(2, 0.3)
        }}
      >
        −
      </button>
      {span.isZoomed && (
        <>
          <button type="button" className={button} onClick={span.toNow}>
            now
          </button>
          <button type="button" className={button} onClick={span.whole}>
            all
          </button>
        </>
      )}
    </div>
  )
}
