export { CHECK_LINE_MM, layCards, type Card, type CardSheet } from './cards'
export { PAPERS, paperFor, type Paper } from './paper'
export { ASSUMED_PX_PER_MM, CARD, checkScale, scaleFrom, type ScreenScale } from './screen'
export {
  layWrapStrip,
  PAPER_THICKNESS_MM,
  wrapDiameter,
  wrapMark,
  type NamedMark,
  type StripTick,
  type WrapStrip,
} from './wrap-strip'
