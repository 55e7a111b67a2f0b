export { missingTasks, proposeSteps, type Task, tasksOf } from './propose'
