export { materials } from './data/materials.ts';
export { materialById } from './lookup.ts';
export { type Material, materialSchema, provenanceSchema, type ReferenceSpeed, type ToolMaterial } from './material.ts';
