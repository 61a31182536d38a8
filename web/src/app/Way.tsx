import { createContext, startTransition, useContext, useEffect, useState, type ReactNode } from 'react'
import { Router, type BaseLocationHook } from 'wouter'
import { navigate } from 'wouter/use-browser-location'

const MOVES = ['popstate', 'pushState', 'replaceState'] // the last two are told by the router's package

const Here = createContext('/')
const useHere: BaseLocationHook = () => [useContext(Here), navigate]

/** Where the cook is. On the way to another view the one that is shown stays until that can be shown. */
export function Way({ children }: { children: ReactNode }) {
  const [path, setPath] = useState(location.pathname)
  useEffect(() => {
    const moved = () => {
      startTransition(() => {
        setPath(location.pathname)
      })
    }
    moved() // what was entered at once, before this was listening
    for (const move of MOVES) addEventListener(move, moved)
    return () => {
      for (const move of MOVES) removeEventListener(move, moved)
    }
  }, [])
  return (
    <Here value={path}>
      <Router hook={useHere}>{children}</Router>
    </Here>
  )
}
