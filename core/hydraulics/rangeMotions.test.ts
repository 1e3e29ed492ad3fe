import { solveUnit, type Unit } from '../geartrain';
import { toNumber } from '../numerics';
import { demoFile } from '../tests/demoFile';
import { rangeMotions } from './rangeMotions';

// The exact solution of the same equations is the reference.
test.each(['skerry-three', 'capstan-five', 'ferry-dual'])('every range of %s, in short', (name) => {
  const unit = demoFile<Unit>(`units/${name}`);
  const motionOf = rangeMotions(unit);
  for (const range of unit.ranges) {
    const { ratio, factorOf } = motionOf(range);
    const exact = solveUnit(unit, range.apply);
    if (exact.outcome === 'drives') expect(ratio).toBeCloseTo(toNumber(exact.ratio!), 9);
    else expect(ratio).toBeNull();
    for (const [id, { torque }] of exact.elements)
      if (torque && exact.outcome === 'drives')
        expect(factorOf(id)).toBeCloseTo(Math.abs(toNumber(torque)), 9);
    // What is no element of it carries nothing.
    expect(factorOf('nowhere')).toBe(0);
  }
});
