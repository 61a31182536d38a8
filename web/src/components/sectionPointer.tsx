import { useRef, useState, type PointerEvent } from 'react'
import { saltAt, type Profile } from '../lib/depth'
import { depthAt, isInBone, type Drawn } from '../lib/outline'
import { lengthTold } from '../lib/told'
import type { System } from '../lib/units'

interface AtPointerProps {
  profile: Profile
  drawn: Drawn
  system: System
}

const WORDS_PX = 132

/** How deep the place under the pointer lies, and how much salt is there. */
export function AtPointer({ profile, drawn, system }: AtPointerProps) {
  const area = useRef<SVGRectElement>(null)
  const [at, setAt] = useState<{ x: number; y: number }>()
  const point = (event: PointerEvent) => {
    const toDrawing = area.current?.getScreenCTM()?.inverse()
    if (toDrawing) setAt(new DOMPoint(event.clientX, event.clientY).matrixTransform(toDrawing))
  }
  const depth = at && !isInBone(drawn, at.x, at.y) ? depthAt(drawn, at.x, at.y) : -1
  const salt = saltAt(profile, depth)
  return (
    <g>
      <rect
        ref={area}
        width={drawn.width}
        height={drawn.height}
        fill="transparent"
        onPointerDown={point}
        onPointerMove={point}
        onPointerLeave={() => {
          setAt(undefined)
        }}
      />
      {at && depth >= 0 && (
        <g pointerEvents="none">
          <circle cx={at.x} cy={at.y} r="4" fill="var(--raised)" stroke="var(--ink)" strokeWidth="2" />
          <text
            x={Math.min(drawn.width - WORDS_PX / 2, Math.max(WORDS_PX / 2, at.x))}
            y={at.y < 24 ? at.y + 24 : at.y - 12}
            fontSize="14"
            fontWeight="700"
            textAnchor="middle"
            fill="var(--ink)"
            stroke="var(--raised)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {`${lengthTold(depth, system)} deep: ${salt.toFixed(salt < 9.95 ? 1 : 0)} g/kg`}
          </text>
        </g>
      )}
    </g>
  )
}
