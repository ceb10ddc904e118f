export { materials } from './data/materials.ts';
export { type Material, materialSchema, provenanceSchema, type ReferenceSpeed, type ToolMaterial } from './material.ts';
export { materialById } from './lookup.ts';
