/** A step of a plan in words: what, how long, and whether it goes by itself. */
export function StepWords({ says, minutes, hands }: { says: string; minutes: number; hands: boolean }) {
  return (
    <>
      {says}
      {minutes >= 1 && <span className="text-quiet"> {minutes.toFixed(0)} min</span>}
      {!hands && <span className="text-[0.9rem]"> (by itself)</span>}
    </>
  )
}
