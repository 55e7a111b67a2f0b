import { missingTasks } from '../../../access'
import type { Task } from '../../../record'
import { check } from '../../check'

export const noSteps = check<{ none: { tasks: Task[] } }>({
  id: 'noSteps',
  station: 'access',
  scope: 'saber',
  source: 'derived from what is fitted',
  reads: ['hilt', 'parts', 'cutPower', 'access'],
  run: ({ saber }) => {
    const tasks = missingTasks(saber)
    return tasks.length
      ? [{ code: 'none', subject: 'none', level: 'caution', params: { tasks }, names: tasks, gate: true }]
      : []
  },
})
