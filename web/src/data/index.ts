export { ApiError, call, refusalText, urlOf } from './client'
export { freshId, todayIso } from './local'
export {
  queries,
  type RackRow,
  useCatalogue,
  useClientPage,
  useClients,
  useIssued,
  useRack,
  useRecall,
  useShelf,
} from './queries'
