import { AS_BUILT, atPedal, releaseCurve, type Clutch } from '../clutch';
import { streamlineCharacteristic, type Converter } from '../converter';
import { solveUnit } from '../geartrain';
import { circuitOf, gearsOf, type HydraulicPlan } from '../hydraulics';
import { expectApproved } from '../tests/approved';
import { demoAll, demoUnit, demoUnits } from '../tests/demoFile';
import { arcArrow } from './arcArrow';
import { cascade } from './cascade';
import { clutchSection } from './clutchSection';
import { coupledLevers } from './coupledLever';
import { endView } from './endView';
import { oilFlows } from './oilFlow';
import { oilLayout } from './oilPlan';
import { powerPath } from './powerPath';
import { sectionDrawing } from './section';
import { sleeveRails } from './sleeveRails';
import { torus } from './torus';

test('units: sections, power along them, levers and rails', () => {
  const said: Record<string, unknown> = {};
  for (const unit of demoUnits()) {
    const drawing = sectionDrawing(unit);
    for (const [name, part] of Object.entries(drawing)) said[`${unit.id} ${name}`] = part;
    said[`${unit.id} quickly`] = sectionDrawing(unit, [], 'first').columns;
    for (const range of unit.ranges)
      said[`${unit.id} ${range.id}`] = powerPath(drawing, unit, solveUnit(unit, range.apply));
    said[`${unit.id} levers`] = coupledLevers(unit);
    said[`${unit.id} rails`] = sleeveRails(unit);
    for (const set of unit.gearsets)
      if (set.kind !== 'mesh') said[`${unit.id} ${set.id}`] = endView({ ...set, pinions: 3 });
  }
  said['arrow'] = [true, false].map((way) => arcArrow(40, 0.4, 1.2, way, 6));
  expectApproved('sections', said);
});

test('clutches, converters and oil', () => {
  const said: Record<string, unknown> = {};
  for (const clutch of demoAll<Clutch>('clutches'))
    for (const layout of ['wide', 'tall'] as const)
      for (const share of [0, 1]) {
        const curve = releaseCurve(clutch, AS_BUILT);
        const point = atPedal(curve, share * curve.floor);
        const { shapes, ...rest } = clutchSection(clutch, AS_BUILT, curve, point, layout);
        said[`${clutch.id} ${layout} ${share}`] = rest;
        shapes.forEach((s, k) => (said[`${clutch.id} ${layout} ${share} ${s.part} ${k}`] = s));
      }
  for (const { id, model } of demoAll<Converter>('converters')) {
    if (model.kind !== 'streamline') continue;
    for (const ratio of [0, 0.5, 0.9]) {
      const point = streamlineCharacteristic(model).at(ratio);
      said[`${id} ${ratio}`] = [cascade(model, point), torus(model, point)];
    }
  }
  for (const plan of demoAll<HydraulicPlan>('hydraulics')) {
    const layout = oilLayout(plan);
    said[`${plan.id} rest`] = { ...layout, lines: [] };
    for (const line of layout.lines) said[`${plan.id} line ${line.id}`] = line;
    const lever = gearsOf(demoUnit(plan.unit)).mainLever!;
    const { passing } = circuitOf(plan).inGear(
      { lever, throttle: 0.4, outputRpm: 900, engineRpm: 1900, celsius: 80 },
      2,
    );
    said[`${plan.id} flows`] = oilFlows(layout, passing);
  }
  expectApproved('drawings', said);
});
