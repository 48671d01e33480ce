import { regionOf, type Customs, type Edit, type HomeHead, type Settings } from '../model';

/** Makes the edit that changes what a home says of itself. */
export function changeHome(
	change: Partial<Pick<HomeHead, 'name' | 'units' | 'currency' | 'dateOrder' | 'rented' | 'note'>>
): Edit {
	return (draft) => void Object.assign(draft, change);
}

/** Makes the edit that says how things are done where the home is; what is not named stays. */
export function changeCustoms(change: Partial<Customs>): Edit {
	return (draft) => void Object.assign(draft.customs, change);
}

/** Makes the edit that says where a home is: units, money, paper, dates and weeks become as they are usual there. */
export function settleIn(code: string): Edit {
	const region = regionOf(code);
	return (draft) => {
		if (!region) return;
		const { paper, weekStart, units, currency, dateOrder } = region;
		Object.assign(draft, { units, currency, dateOrder });
		draft.customs = { region: code, paper, weekStart };
	};
}

/** Makes the edit that chooses among ways of working; a choice that is not named stays. */
export function chooseSchools(choice: Partial<HomeHead['schools']>): Edit {
	return (draft) => void Object.assign(draft.schools, choice);
}

/** Makes the edit that says how the household shops; what is not named stays. */
export function changeShop(change: Partial<Settings['shop']>): Edit {
	return (draft) => void Object.assign(draft.settings.shop, change);
}

/** Makes the edit that says how labels are printed; what is not named stays. */
export function changeLabels(change: Partial<Settings['labels']>): Edit {
	return (draft) => void Object.assign(draft.settings.labels, change);
}

/** Makes the edit that plans a clear-out: what is not named stays as it is planned, or as `usual` has it. */
export function planClearDay(
	usual: NonNullable<HomeHead['clearDay']>,
	change: Partial<NonNullable<HomeHead['clearDay']>>
): Edit {
	return (draft) => void (draft.clearDay = { ...(draft.clearDay ?? usual), ...change });
}
