/** What an edge is made of, from the slowest to the fastest. */
export const TOOL_MATERIALS = ['hss', 'cobalt', 'brazed', 'uncoated', 'coated'] as const;
export type ToolMaterial = (typeof TOOL_MATERIALS)[number];

/** High-speed steels are ground keen and take any depth; hard metals have rounded edges and want some. */
export type ToolFamily = 'hss' | 'carbide';
/** Family of an edge. @example familyOf('cobalt') // 'hss' */
export function familyOf(material: ToolMaterial): ToolFamily {
  return material === 'hss' || material === 'cobalt' ? 'hss' : 'carbide';
}
