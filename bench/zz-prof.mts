import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { generateHome } from '/work/main/src/lib/core/fixtures/generate-home';
import { writeHomeFile } from '/work/main/src/lib/core/interchange';
import { CHROMIUM_ARGS, chromiumPath } from '/work/main/scripts/chromium.mjs';
import { withServer } from '/work/main/bench/with-server';
import * as B from '/work/main/bench/browser';
const { STATIONS, timed, goTo } = B as any;
await withServer(async (base: string) => {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM_ARGS });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(base);
  await page.getByText('None yet.').waitFor();
  const large = generateHome({ seed: 1, rooms: 8, cabinets: 60, groups: 120, things: 5000, lots: 10_000 });
  await page.getByLabel('Import a home file').setInputFiles({ name: 'l.keepnook.json', mimeType: 'application/json', buffer: Buffer.from(writeHomeFile(large)) });
  await page.getByRole('heading', { name: 'Job sheet' }).waitFor({ timeout: 60_000 });
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Profiler.enable'); await cdp.send('Profiler.setSamplingInterval', { interval: 500 });
  async function prof(name: string, f: () => Promise<void>) {
    await cdp.send('Profiler.start'); const t = performance.now(); await f();
    const { profile } = await cdp.send('Profiler.stop') as any;
    const self = new Map<number, number>(); const dt = profile.timeDeltas;
    profile.samples.forEach((id: number, i: number) => self.set(id, (self.get(id) ?? 0) + dt[i] / 1000));
    const nodes = new Map<number, any>(profile.nodes.map((n: any) => [n.id, n]));
    const total = new Map<string, number>(), own = new Map<string, number>();
    const walk = (id: number, stack: Set<string>): number => {
      const n = nodes.get(id); const k = n.callFrame.functionName + ' ' + n.callFrame.url.split('/').pop() + ':' + n.callFrame.lineNumber;
      const s = self.get(id) ?? 0; let sum = s; const fresh = !stack.has(k); if (fresh) stack.add(k);
      for (const c of n.children ?? []) sum += walk(c, stack);
      if (fresh) { stack.delete(k); total.set(k, (total.get(k) ?? 0) + sum); }
      own.set(k, (own.get(k) ?? 0) + s); return sum;
    };
    walk(profile.nodes[0].id, new Set());
    const top = (m: Map<string, number>, n: number) => [...m].filter(([k]) => !k.startsWith('(')&& !k.startsWith(' :')).sort((a, b) => b[1] - a[1]).slice(0, n).map(([k, v]) => `  ${v.toFixed(0)} ${k}`).join('\n');
    console.log(`== ${name} ${(performance.now() - t).toFixed(0)}\ntotal\n${top(total, +(process.env.N ?? 45))}\nown\n${top(own, 14)}`);
  }
  const which = process.argv[2] ?? 'all';
  for (const s of STATIONS) {
    if (which !== 'all' && !which.includes(s.stage)) continue;
    if (process.argv[3] !== 'edit') {
    await prof(`open ${s.stage}`, async () => { await page.evaluate(goTo('/' + s.stage.toLowerCase(), s.stage)); });
    } else await page.evaluate(goTo('/' + s.stage.toLowerCase(), s.stage));
    if (process.argv[3] !== 'open') {
    await s.ready(page);
    await page.evaluate(timed(s.act));
    await prof(`edit ${s.stage} x3`, async () => { for (let i = 0; i < 3; i++) await page.evaluate(timed(s.act)); });
    }
  }
  await browser.close();
});
process.exit(0);
