export { missingTasks, proposeSteps, tasksOf } from './propose'
