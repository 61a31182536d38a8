import { useQuery } from '@tanstack/react-query'
import { cautionsQuery } from '../../api/queries'

const PLACES = [
  { where: 'all', title: 'Always' },
  { where: 'cut', title: 'The cut' },
  { where: 'mix', title: 'The mix' },
  { where: 'hold', title: 'The hold' },
  { where: 'fire', title: 'The heat' },
]
const WORD: Record<string, string> = { note: 'note', warn: '▲ mind', stop: '✕ stop' }

/** Every caution on one page, with what it rests on and how far that was looked into. */
export function CautionsPage() {
  const found = useQuery(cautionsQuery)
  return (
    <div className="max-w-[60rem] px-4 py-5 wide:px-7">
      <p className="text-[1.15rem]">
        National and local food-safety rules and a licensed professional come first. Nothing here covers food
        for sale, or curing. Figures are as recalled: check the current text.
      </p>
      {PLACES.map(({ where, title }) => {
        const here = (found.data ?? []).filter((caution) => caution.where === where)
        if (here.length === 0) return null
        return (
          <section key={where} aria-labelledby={`at-${where}`} className="pt-4">
            <h2 id={`at-${where}`} className="heading">
              {title}
            </h2>
            <ul>
              {here.map((caution) => (
                <li
                  key={caution.id}
                  className="grid gap-x-4 border-b border-rule py-2 wide:grid-cols-[5rem_minmax(0,1fr)]"
                >
                  <b
                    className={
                      caution.kind === 'stop'
                        ? 'text-stop'
                        : caution.kind === 'warn'
                          ? 'text-warn'
                          : 'text-quiet'
                    }
                  >
                    {WORD[caution.kind]}
                  </b>
                  <span>
                    {caution.says}
                    <span className="block text-[0.9rem] text-quiet">
                      {caution.source}: {caution.standing}
                    </span>
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )
      })}
    </div>
  )
}
