import Boxes from '@lucide/svelte/icons/boxes';
import CalendarCheck from '@lucide/svelte/icons/calendar-check';
import MapPinned from '@lucide/svelte/icons/map-pinned';
import PackageOpen from '@lucide/svelte/icons/package-open';
import RefreshCw from '@lucide/svelte/icons/refresh-cw';
import Ruler from '@lucide/svelte/icons/ruler';
import StickyNote from '@lucide/svelte/icons/sticky-note';
import Tags from '@lucide/svelte/icons/tags';
import type { Component } from 'svelte';
import type { Stage } from '$lib/core/model';

export const STAGE_ICONS: Readonly<Record<Stage, Component<{ size?: number }>>> = {
	walk: Ruler,
	clear: PackageOpen,
	sort: Tags,
	place: MapPinned,
	fit: Boxes,
	mark: StickyNote,
	turn: RefreshCw,
	keep: CalendarCheck
};
