import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page, type TestInfo } from '@playwright/test';

/** The day on which every journey happens. */
export const NOW = new Date('2026-03-02T09:00:00Z');

export async function openDemo(page: Page, stage = ''): Promise<void> {
	await page.clock.setFixedTime(NOW);
	await page.goto('/demo');
	// The demo is written record by record first: on a machine that is busy that takes its time.
	await expect(page.getByRole('heading', { name: 'Job sheet' })).toBeVisible({ timeout: 20_000 });
	if (stage) await goTo(page, stage);
}

export async function goTo(page: Page, stage: string): Promise<void> {
	await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
	await expect(page.getByRole('heading', { name: stage, level: 1 })).toBeVisible();
}

export async function saved(page: Page): Promise<void> {
	await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
}

export async function solve(page: Page): Promise<void> {
	await page.getByRole('button', { name: /^Solve/ }).click();
	await expect(page.getByRole('heading', { name: 'The whole week' })).toBeVisible({
		timeout: 60_000
	});
	await expect(page.getByRole('button', { name: 'Solve again' })).toBeVisible({ timeout: 60_000 });
}

export async function newHome(page: Page, name: string): Promise<void> {
	await page.clock.setFixedTime(NOW);
	await page.goto('/');
	await page.getByLabel('What do you call it?').fill(name);
	await page.getByRole('button', { name: 'Make this home' }).click();
	await expect(page.getByRole('heading', { name: 'Job sheet' })).toBeVisible();
}

/** Writes a home to a file, in a program of its own. */
function writeHome(path: string, which: string): void {
	const tsx = 'node_modules/tsx/dist/cli.mjs';
	execFileSync(process.execPath, [tsx, 'e2e/write-home.ts', path, which, NOW.toISOString()]);
}

async function importFrom(page: Page, path: string): Promise<void> {
	await page.clock.setFixedTime(NOW);
	await page.goto('/');
	await page.getByLabel('Import a home file').setInputFiles(path);
	await expect(page.getByRole('heading', { name: 'Job sheet' })).toBeVisible({ timeout: 30_000 });
	await saved(page);
}

/** Imports a home that the generator makes, or one that is sketched. */
export async function openGenerated(
	page: Page,
	info: TestInfo,
	which: 'house' | 'room' | 'toddler' | 'wheels' | 'family' | 'freezers'
): Promise<void> {
	const path = info.outputPath(`${which}.keepnook.json`);
	writeHome(path, which);
	await importFrom(page, path);
}

/** Opens the demo home with the plan that solving it gives: solved once for all journeys that only stand on it. */
export async function openPlanned(page: Page, stage = ''): Promise<void> {
	const { project, workerIndex } = test.info();
	const path = join(project.outputDir, 'planned.keepnook.json');
	if (!existsSync(path)) {
		const own = join(project.outputDir, `planned-${workerIndex}.keepnook.json`);
		mkdirSync(project.outputDir, { recursive: true });
		writeHome(own, 'planned');
		// At once, for the other worker may read it.
		renameSync(own, path);
	}
	await importFrom(page, path);
	if (stage) await goTo(page, stage);
}

/** The panel of what is chosen: beside the drawing, on a small screen a sheet over it. */
export const panel = (page: Page, name?: string) =>
	page
		.getByRole('complementary', name ? { name } : {})
		.or(page.getByRole('dialog', name ? { name } : {}));
