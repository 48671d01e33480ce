import { SKETCHES } from '../src/lib/core/fixtures/sketches';
import { MORE_SKETCHES } from '../src/lib/core/fixtures/more-sketches';
import { sketchHome } from '../src/lib/core/fixtures/sketch-home';
import { demoHome } from '../src/lib/data/demo';
import { proposeGroups } from '../src/lib/core/grouping';
import { categoryOf } from '../src/lib/core/model';
const homes: [string, any][] = [['demo', demoHome('2026-03-02T09:00:00Z')], ...[...Object.values(SKETCHES), ...Object.values(MORE_SKETCHES)].map((s: any) => [s.name, sketchHome(s)] as [string, any])];
for (const [n, home] of homes) {
  console.log('##', n);
  for (const g of proposeGroups(home)) {
    const cats = [...new Set(g.thingIds.map((id) => categoryOf(home.things[id].category).name))];
    if (cats.length > 1) console.log('  ', g.name, '<-', cats.join(' | '), '::', g.thingIds.map((id) => home.things[id].name).join(', ').slice(0, 150));
  }
}
