/** Reads a drawn profile: salt against depth, as points of a line. */
export interface Profile {
  depth_mm: number[]
  salt_g_per_kg: number[]
}

/** The value at a depth, between the two nearest points. */
export function saltAt(profile: Profile, depthMm: number): number {
  const { depth_mm: depths, salt_g_per_kg: salts } = profile
  const last = depths.length - 1
  const right = depths.findIndex((depth) => depth >= depthMm)
  if (right === -1) return salts[last] ?? 0
  if (right === 0) return salts[0] ?? 0
  const [d0 = 0, d1 = 1] = [depths[right - 1], depths[right]]
  const [s0 = 0, s1 = 0] = [salts[right - 1], salts[right]]
  return s0 + ((s1 - s0) * (depthMm - d0)) / (d1 - d0)
}
