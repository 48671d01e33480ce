import { createContext } from 'svelte';
import type { CorrectDesk } from './correct-desk.svelte';
import type { KeptFile } from './kept-file.svelte';
import type { HomeStore } from './home-store.svelte';

/** The store of the home at hand, for every screen below the home's layout. */
export const [getHomeStore, setHomeStore] = createContext<() => HomeStore>();

/** The one sheet on which a thing is put right, opened from wherever the thing shows. */
export const [getCorrecting, setCorrecting] = createContext<() => CorrectDesk>();

/** The file that the home at hand is kept in besides this browser. */
export const [getKeptFile, setKeptFile] = createContext<() => KeptFile>();
