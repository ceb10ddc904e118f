export { materialById, materials, speedsFrom } from './built-in.ts';
export {
  type Coolant,
  coolantSchema,
  type Group,
  groupSchema,
  type Material,
  materialSchema,
  type Provenance,
  type ReferenceSpeed,
} from './material.ts';
export {
  materialOf,
  type OwnMaterial,
  SHOP_FIGURES,
  type ShopMaterial,
  shopMaterialSchema,
  storedMaterialSchema,
  upgradeMaterial,
} from './own.ts';
export { familyOf, TOOL_MATERIALS, type ToolFamily, type ToolMaterial } from './tool-material.ts';
