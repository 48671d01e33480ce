import { demoHome } from '../../src/lib/data/demo';
import { NOW } from '../../src/lib/core/fixtures/tiny-home';
import { placeHome, toZonePlan } from '../../src/lib/core/zoning';
import { allGroupFigures } from '../../src/lib/core/grouping';
const demo = demoHome(NOW);
const p = toZonePlan(placeHome(demo, { seed: 1, moves: 300_000 }), 'p', 'Plan', NOW);
const fig = new Map(allGroupFigures(demo).map((f) => [f.groupId as string, f as any]));
const by: Record<string, string[]> = {};
for (const a of p.assignments) (by[a.nookId] ??= []).push(`${demo.groups[a.groupId]!.name}${a.share < 1 ? ` (${Math.round(a.share * 100)}%)` : ''} u${fig.get(a.groupId)!.usesPerWeek.toFixed(1)} h${fig.get(a.groupId)!.tallestMm} ${Math.round(fig.get(a.groupId)!.volumeMl/1000)}l`);
for (const n of Object.values(demo.nooks)) { const c = demo.cabinets[n.cabinetId]!; console.log(`${n.id} [${c.label ?? c.kind} / ${n.label ?? n.kind}] ${n.inside.widthMm}x${n.inside.depthMm}x${n.inside.heightMm}: ${(by[n.id] ?? ['—']).join('; ')}`); }
