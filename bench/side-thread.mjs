// A new thread knows no TypeScript until it is told.
import { tsImport } from 'tsx/esm/api';

await tsImport('./side-search.ts', import.meta.url);
