/** A hold through time, as it is drawn: per hour, salt by depth and the depth of the two bands. */
export interface Course {
  hours: number[]
  depth_mm: number[]
  salt_g_per_kg: number[][]
  white_mm: number[]
  soft_mm: number[]
  across: boolean
}

/** What stands where at one hour: salt against depth as points of a line, and the bands. */
export interface Profile {
  depth_mm: number[]
  salt_g_per_kg: number[]
  white_mm: number
  soft_mm: number
}

/** The profile at an hour, between the two nearest that were worked out. */
export function profileAt(course: Course, hour: number): Profile {
  const right = Math.max(
    1,
    course.hours.findIndex((known) => known >= hour),
  )
  const at = hour > (course.hours.at(-1) ?? 0) ? course.hours.length - 1 : right
  const [h0 = 0, h1 = 1] = [course.hours[at - 1], course.hours[at]]
  const part = Math.min(1, Math.max(0, (hour - h0) / (h1 - h0)))
  const between = (values: number[]) =>
    (values[at - 1] ?? 0) + part * ((values[at] ?? 0) - (values[at - 1] ?? 0))
  const [before = [], after = []] = [course.salt_g_per_kg[at - 1], course.salt_g_per_kg[at]]
  return {
    depth_mm: course.depth_mm,
    salt_g_per_kg: before.map((salt, index) => salt + part * ((after[index] ?? salt) - salt)),
    white_mm: between(course.white_mm),
    soft_mm: between(course.soft_mm),
  }
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
