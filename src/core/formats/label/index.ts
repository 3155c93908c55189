export { drawLabel, LABEL_SHAPES, type LabelFace, type LabelShape } from './face.ts';
export { getCell, layLabels } from './sheets.ts';
export { STOCKS, type Stock } from './stock.ts';
