export { CAD_LAYERS, type CadEntity, type CadLayer, cadCsv, cadDxf, cadOf, cadSvg, keyCuts } from './drawing'
