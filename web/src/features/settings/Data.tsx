import { ArchiveIn } from './ArchiveIn'
import { PutBack } from './PutBack'
import { RemoveAll } from './RemoveAll'
import { StoreCheck } from './StoreCheck'
import { ARCHIVE, BACKUP } from '../../api/addresses'

/** The kitchen's data are the cook's: out, in, copied, checked, removed. */
export function Data() {
  return (
    <div className="grid max-w-[76rem] gap-x-12 gap-y-8 wide:grid-cols-2">
      <section aria-labelledby="archive" className="grid content-start gap-3">
        <h2 id="archive" className="heading">
          the whole kitchen as open files
        </h2>
        <p>
          One archive: batches with what happened to them, your ingredients, cuts and settings, the logbook as
          a table, plans as a calendar, recipes and cards.
        </p>
        <a className="act grid place-items-center" href={ARCHIVE} download>
          Write the archive
        </a>
        <ArchiveIn />
      </section>
      <section aria-labelledby="backup" className="grid content-start gap-3">
        <h2 id="backup" className="heading">
          backup
        </h2>
        <p>A copy of the kitchen as it is this minute, with every step that can be undone.</p>
        <a className="act grid place-items-center" href={BACKUP} download>
          Write a backup
        </a>
        <PutBack />
        <StoreCheck />
        <RemoveAll />
      </section>
    </div>
  )
}
