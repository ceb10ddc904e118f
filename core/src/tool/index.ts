export { storedToolSchema, type Tool, toolFor, toolSchema, upgradeTool } from './tool.ts';
