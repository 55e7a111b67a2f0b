export { askText } from './ask-words'
export type { Ask, Draft } from './draft'
export { proposeSteps } from './propose'
export { missingTasks, tasksOf } from './tasks'
