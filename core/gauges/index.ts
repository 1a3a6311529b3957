export { CHECK_LINES, layCards } from './cards'
export { PAPERS, paperFor, type Paper } from './paper'
export { ASSUMED_PX_PER_MM, CARD, checkScale, scaleFrom, type ScreenScale } from './screen'
export { layWrapStrip, PAPER_THICKNESS_MM, wrapDiameter, wrapMark, type WrapStrip } from './wrap-strip'
