export const CONTAINER_ROLES = [
	'bin',
	'jar',
	'turntable',
	'riser',
	'rack',
	'basket',
	'divider',
	'upright',
	'cradle',
	'tray',
	'caddy',
	'slide',
	'level'
] as const;
export type ContainerRole = (typeof CONTAINER_ROLES)[number];
