import { missingTasks } from '../../../access'
import type { Task } from '../../../record'
import { MAKER } from '../../../units'
import { say } from '../../../words'
import { check } from '../../check'
import { listed } from '../../text'

export const noSteps = check<{ none: { tasks: Task[] } }>({
  id: 'noSteps',
  station: 'access',
  scope: 'saber',
  rule: 'Every task the build calls for has its steps.',
  source: 'derived from what is fitted',
  reads: ['hilt', 'parts', 'cutPower', 'access'],
  run: ({ saber }) => {
    const tasks = missingTasks(saber)
    return tasks.length
      ? [{ code: 'none', subject: 'none', level: 'caution', params: { tasks }, names: tasks, gate: true }]
      : []
  },
  words: {
    none: ({ tasks }) => ({
      title:
        tasks.length === 1
          ? `${say(MAKER, 'task', { task: tasks[0]! })}: no steps`
          : `${tasks.length} tasks have no steps`,
      detail: `${tasks.length === 1 ? '' : `${listed(tasks.map((task) => say(MAKER, 'task', { task })))}. `}The client will have to do this alone.`,
      remedy: 'Draft the steps from the drawing, then try them on the saber.',
    }),
  },
})
