import { materials } from './data/materials.ts';
import type { Material } from './material.ts';

const byId = new Map(materials.map((material) => [material.id, material]));

/** The material with that id, or undefined. @example materialById('brass')?.group // 'N' */
export function materialById(id: string): Material | undefined {
  return byId.get(id);
}
