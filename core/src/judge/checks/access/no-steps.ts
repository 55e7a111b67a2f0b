import { missingTasks } from '../../../access'
import type { Task } from '../../../record'
import { say } from '../../../words'
import { check } from '../../check'

export const noSteps = check<{ none: { task: Task } }>({
  id: 'noSteps',
  station: 'access',
  scope: 'saber',
  rule: 'Every task the build calls for has its steps.',
  source: 'derived from what is fitted',
  reads: ['hilt', 'parts', 'cutPower', 'access'],
  run: ({ saber }) =>
    missingTasks(saber).map((task) => ({
      code: 'none',
      subject: task,
      level: 'caution',
      params: { task },
      gate: true,
    })),
  words: {
    none: (p) => ({
      title: `${say('task', p)}: no steps`,
      detail: 'The client will have to do this alone.',
      remedy: 'Draft the steps from the drawing, then try them on the saber.',
    }),
  },
})
