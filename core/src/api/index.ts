export { API, type Api, type RouteName } from './all'
export { openApi, refusalsOf } from './openapi'
export { ROLES, type Role } from './people'
export { type BodyOf, type GoodOf, type ParamsOf, paramNames, type QueryOf, type Route } from './route'
