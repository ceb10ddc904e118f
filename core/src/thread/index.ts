export { type NamedThread, type ReadThread, readThread, THREAD_FORMS, type ThreadForm } from './designation.ts';
export { type MajorLimits, majorLimits } from './limits.ts';
