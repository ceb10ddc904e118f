export { BIT_SHAPES, type BitShape, type GrindingAngles, grindingAngles } from './grinding.ts';
export { storedToolSchema, type Tool, toolFor, toolSchema, upgradeTool } from './tool.ts';
