export { KINDS, type KindRule, kindRule, type PartKind, SPECS, type SpecKey, type SpecRule } from '../record'
export { type CataloguePart, fitFrom, GENERIC_CATALOGUE } from './catalogue'
export { CataloguePartSchema } from './schema'
