import { useQuery } from '@tanstack/react-query'
import { besideQuery } from '../../api/queries'

/** Two to four batches side by side: only what differs. */
export function Beside({ ids, onClose }: { ids: string[]; onClose: () => void }) {
  const found = useQuery(besideQuery(ids))
  if (!found.data) return null
  return (
    <section
      aria-label="Side by side"
      className="my-2 overflow-x-auto rounded-md border-2 border-enamel bg-raised p-3"
    >
      <table className="w-full text-left">
        <thead>
          <tr>
            <td className="w-40 text-quiet">only what differs</td>
            {found.data.names.map((name, column) => (
              <th key={ids[column]} scope="col" className="font-slab font-medium">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {found.data.rows.map((row) => (
            <tr key={row.what} className="border-t border-rule">
              <th scope="row" className="font-normal text-quiet">
                {row.what}
              </th>
              {row.values.map((value, column) => (
                <td key={ids[column]} className="font-semibold">
                  {value === '' ? '–' : value}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <button type="button" className="act mt-2" onClick={onClose}>
        Close
      </button>
    </section>
  )
}
