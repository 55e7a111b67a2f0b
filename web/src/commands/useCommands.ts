import { useEffect, useMemo } from 'react'
import { useNavigate } from 'react-router'
import { useBench } from '../store/commission'
import { type Command, perform, pressed, type Scope, type Sheet } from './command'
import { COMMANDS } from './list'

/** The commands of a page, bound to their keys while it is open. */
export function useCommands(where: 'rack' | 'commission', show: (sheet: Sheet) => void) {
  const navigate = useNavigate()
  return useMemo(() => {
    const list = COMMANDS.filter((c) => c.where === where || c.where === 'everywhere')
    const scope = (): Scope => ({ navigate, show, bench: where === 'commission' ? useBench.getState() : undefined })
    return {
      list,
      why: (c: Command) => c.can?.(scope()),
      run: (c: Command) => perform(c, scope()),
    }
  }, [where, navigate, show])
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
