import { topAt, type Drawn } from '../lib/outline'
import { lengthTold } from '../lib/told'
import type { System } from '../lib/units'
import { Label, type Score } from './sectionParts'

interface ScoresProps {
  scores: Score[]
  drawn: Drawn
  /** Whether their depth is told beside the first of each kind. */
  named: boolean
  system: System
}

/** Cuts from above, at their depth and spacing. */
export function Scores({ scores, drawn, named, system }: ScoresProps) {
  return (
    <g>
      <Slits scores={scores} drawn={drawn} />
      {named &&
        scores.map((score, which) => {
          const { first } = slitsOf(score, drawn)
          const y = topAt(drawn, first) + score.depth_mm * drawn.scale + 14 * (which + 1)
          return (
            <Label
              key={which}
              x={Math.max(44, first)}
              y={y}
              text={`cut ${lengthTold(score.depth_mm, system)} deep`}
            />
          )
        })}
    </g>
  )
}

function slitsOf(score: Score, drawn: Drawn) {
  const step = Math.max(10, score.spacing_mm * drawn.scale)
  const count = Math.max(1, Math.floor(drawn.width / step))
  return { step, count, first: (drawn.width - (count - 1) * step) / 2 }
}

function Slits({ scores, drawn }: { scores: Score[]; drawn: Drawn }) {
  return (
    <g stroke="var(--ink)" strokeWidth="1.6" fill="var(--paper)">
      {scores.flatMap((score, which) => {
        const { step, count, first } = slitsOf(score, drawn)
        return Array.from({ length: count }, (_, index) => {
          const x = first + index * step
          const top = topAt(drawn, x)
          const depth = score.depth_mm * drawn.scale
          return (
            <path key={`${which}-${index}`} d={`M${x - 2.5} ${top}L${x} ${top + depth}L${x + 2.5} ${top}`} />
          )
        })
      })}
    </g>
  )
}
