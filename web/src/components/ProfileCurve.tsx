import { lengthTold } from '../lib/told'
import type { Profile } from '../lib/depth'

interface ProfileCurveProps {
  profile: Profile
  beside?: Profile | undefined
  tastedFrom: number
}

const [W, H] = [400, 150]

/** Salt against depth as a curve, a second one dashed, with the line from which a layer tastes seasoned. */
export function ProfileCurve({ profile, beside, tastedFrom }: ProfileCurveProps) {
  const deepest = Math.max(profile.depth_mm.at(-1) ?? 1, beside?.depth_mm.at(-1) ?? 0)
  const most = Math.max(8, ...profile.salt_g_per_kg, ...(beside?.salt_g_per_kg ?? []))
  const x = (mm: number) => (mm / deepest) * W
  const y = (salt: number) => H - (salt / most) * H
  const path = ({ depth_mm, salt_g_per_kg }: Profile) =>
    depth_mm.map((mm, index) => `${index === 0 ? 'M' : 'L'}${x(mm)} ${y(salt_g_per_kg[index] ?? 0)}`).join('')
  return (
    <svg
      viewBox={`-66 -8 ${W + 80} ${H + 44}`}
      className="w-full"
      role="img"
      aria-label={`Salt by depth: ${(profile.salt_g_per_kg[0] ?? 0).toFixed(0)} g/kg at the surface, ${(profile.salt_g_per_kg.at(-1) ?? 0).toFixed(1)} at ${deepest.toFixed(0)} mm`}
    >
      <path d={`M0 0V${H}H${W}`} fill="none" stroke="var(--quiet)" />
      <path d={`M0 ${y(tastedFrom)}H${W}`} stroke="var(--salt)" strokeDasharray="2 4" />
      <text x={W} y={y(tastedFrom) - 4} textAnchor="end" className="fill-quiet text-[0.8rem]">
        tasted from here up
      </text>
      {beside && (
        <path d={path(beside)} fill="none" stroke="var(--ink)" strokeWidth="2" strokeDasharray="6 5" />
      )}
      <path d={path(profile)} fill="none" stroke="var(--salt)" strokeWidth="3" />
      <g className="fill-quiet text-[0.8rem]">
        <text x={-6} y={10} textAnchor="end">
          {most.toFixed(0)} g/kg
        </text>
        <text x={0} y={H + 18}>
          surface
        </text>
        <text x={W} y={H + 18} textAnchor="end">
          {lengthTold(deepest)} deep
        </text>
      </g>
    </svg>
  )
}
