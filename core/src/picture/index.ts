export { endViewPicture } from './end-view.ts';
export type { FeatureEnd } from './ends.ts';
export { type GrindingSheet, grindingSheetPicture } from './grinding-sheet.ts';
export { halfOutline } from './outline.ts';
export type { Picture, Role, Shape } from './picture.ts';
export { silhouettePicture } from './silhouette.ts';
export { type CardMaterial, type SpeedCard, speedCardPicture, speedCardRows } from './speed-card.ts';
export { type StripView, stripPicture } from './strip.ts';
