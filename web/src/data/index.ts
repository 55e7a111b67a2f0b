export { ApiError, call, refusalText, urlOf } from './client'
export { keepRead, keepUnsaved, keptUnsaved, readKept } from './keep'
export { freshId, todayIso } from './local'
export {
  publicLink,
  queries,
  type RackRow,
  useCatalogue,
  useClientPage,
  useClientsNamed,
  useFound,
  useIssued,
  useRack,
  useRecall,
  useShelf,
} from './queries'
