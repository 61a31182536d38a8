import { lazy, Suspense, useState } from 'react'
import { jump } from './jump'
import { useKeys } from '../components/useKeys'

const KeysList = lazy(() => import('./KeysList').then((part) => ({ default: part.KeysList })))

/** `?` lists the keys, `j` and `J` jump from part to part. */
export function KeysHelp() {
  const [open, setOpen] = useState(false)
  useKeys({
    '?': () => {
      setOpen(true)
    },
    j: () => {
      jump(1)
    },
    J: () => {
      jump(-1)
    },
  })
  return open ? (
    <Suspense>
      <KeysList
        onClose={() => {
          setOpen(false)
        }}
      />
    </Suspense>
  ) : null
}
