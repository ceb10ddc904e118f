export { type Means, withToolsOf } from './means.ts';
