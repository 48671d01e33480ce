import { createContext } from 'svelte';
import type { HomeStore } from './home-store.svelte';

/** The store of the home at hand, for every screen below the home's layout. */
export const [getHomeStore, setHomeStore] = createContext<() => HomeStore>();
