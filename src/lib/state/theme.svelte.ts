export type ThemeName = 'linen' | 'cellar';
const KEY = 'keepnook-theme';

/** The look in force: chosen by the person, else what the system prefers. */
class Theme {
	#chosen = $state<ThemeName | null>(null);
	#system = $state<ThemeName>('linen');

	constructor() {
		if (typeof window === 'undefined') return;
		const stored = localStorage.getItem(KEY);
		if (stored === 'linen' || stored === 'cellar') this.#chosen = stored;
		const dark = window.matchMedia('(prefers-color-scheme: dark)');
		this.#system = dark.matches ? 'cellar' : 'linen';
		dark.addEventListener('change', (event) => (this.#system = event.matches ? 'cellar' : 'linen'));
	}

	get current(): ThemeName {
		return this.#chosen ?? this.#system;
	}

	toggle(): void {
		this.#chosen = this.current === 'linen' ? 'cellar' : 'linen';
		localStorage.setItem(KEY, this.#chosen);
	}

	apply(root: HTMLElement): void {
		root.dataset.theme = this.current;
	}
}

export const theme = new Theme();
