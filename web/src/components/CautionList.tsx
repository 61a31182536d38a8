export interface CautionShown {
  id: string
  kind: string
  says: string
}

const MARK: Record<string, string> = { note: '', warn: '▲ Mind: ', stop: '✕ Stop: ' }
const LOOK: Record<string, string> = { note: '', warn: 'text-warn', stop: 'text-stop font-semibold' }

/** Cautions with their mark and word, never by colour alone. */
export function CautionList({ cautions, label }: { cautions: CautionShown[]; label: string }) {
  if (cautions.length === 0) return null
  return (
    <ul aria-label={label} className="mt-1 grid gap-1 border-t border-rule pt-1">
      {cautions.map((caution) => (
        <li key={caution.id} className={LOOK[caution.kind] ?? ''}>
          {MARK[caution.kind] ?? ''}
          {caution.says}
        </li>
      ))}
    </ul>
  )
}
