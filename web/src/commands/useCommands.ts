import { useEffect, useMemo } from 'react'
import { useNavigate } from 'react-router'
import type { BenchState } from '../store/commission'
import { type Command, perform, pressed, type Scope, type Sheet } from './command'

/** The commands of a page; `bench` gives what lies on the bench, where there is one. */
export function useCommands(list: readonly Command[], show: (sheet: Sheet) => void, bench?: () => BenchState) {
  const navigate = useNavigate()
  return useMemo(() => {
    const scope = (): Scope => ({ navigate, show, bench: bench?.() })
    return {
      list,
      why: (c: Command) => c.can?.(scope()),
      run: (c: Command) => perform(c, scope()),
    }
  }, [list, navigate, show, bench])
}

/** Listens to the keys of some commands. */
export function useKeys(commands: ReturnType<typeof useCommands>) {
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      const name = pressed(e)
      const found = name && commands.list.find((c) => c.keys?.includes(name))
      if (!found) return
      e.preventDefault()
      commands.run(found)
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [commands])
}
