export { ApiError, call, refusalText, urlOf } from './client'
export { keepRead, keepUnsaved, keptUnsaved, readKept } from './keep'
export { freshId, todayIso } from './local'
export {
  askClientPage,
  type LeftToDo,
  publicLink,
  queries,
  type RackRow,
  useCatalogue,
  useClientPage,
  useClientsNamed,
  useFontLibrary,
  useFound,
  useIssued,
  useLeftToDo,
  useRack,
  useRecall,
  useShelf,
  useSoundRules,
  whichRecord,
} from './queries'
