export { type Tool, toolFor, toolSchema } from './tool.ts';
