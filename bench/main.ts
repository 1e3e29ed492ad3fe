import { lup, lusolve, matrix } from 'mathjs';
import { LuDecomposition, Matrix, SVD } from 'ml-matrix';
import { endView } from '../core/drawing';
import {
  compileTrain,
  solveSet,
  solveSpeeds,
  unitOfSet,
  type PlanetarySet,
} from '../core/geartrain';
import { benchClutch } from './clutch';
import { compare, type Comparison } from './compare';
import { benchConverter } from './converter';
import { benchFaults } from './faults';
import { benchReasons } from './reasons';
import { benchDualClutch } from './dualClutch';
import { benchOil } from './oil';
import { benchRooms } from './rooms';
import { benchStripDown } from './stripDown';
import { benchUnits } from './units';

/** `npm run bench`: our kernels against general-purpose libraries on the same work in the same run. */
const set: PlanetarySet = {
  kind: 'single-pinion',
  teeth: { sun: 30, pinion: 20, ring: 70 },
  pinions: 4,
};
const roles = { drives: 'sun', driven: 'carrier', reaction: 'held' } as const;
const train = compileTrain(unitOfSet(set, roles));
const out = new Float64Array(3);

// The same system, Ns·ωs + Nr·ωr − (Ns+Nr)·ωc = 0, ωr = 0, ωs = 1, as a square one for the libraries.
const rows = [
  [30, -100, 70],
  [0, 0, 1],
  [1, 0, 0],
];
const right = [0, 0, 1];

let checksum = 0;
const ours = () => {
  solveSpeeds(train, 1, out);
  checksum += out[0]!;
};

const results: Comparison[] = [
  compare('one set, against mathjs LU', ours, () => {
    const x = lusolve(lup(matrix(rows)), right);
    checksum += Number(x.get([1, 0]));
  }),
  compare('one set, against ml-matrix LU', ours, () => {
    checksum += new LuDecomposition(new Matrix(rows)).solve(Matrix.columnVector(right)).get(1, 0);
  }),
  compare('one set, against ml-matrix SVD', ours, () => {
    checksum += new SVD(new Matrix(rows)).solve(Matrix.columnVector(right)).get(1, 0);
  }),
];
for (const { name, oursNs, theirsNs, ratio } of results)
  console.log(
    `${name}: ${ratio.toFixed(0)} times as fast (${oursNs.toFixed(0)} ns against ${theirsNs.toFixed(0)} ns)`,
  );

const exact = compare('', ours, () => void solveSet({ ...set }, roles));
console.log(`exact solution of one set: ${(exact.theirsNs / 1000).toFixed(1)} µs`);
const drawing = compare('', ours, () => void endView(set));
console.log(`end view geometry, 4 pinions and 70 teeth: ${(drawing.theirsNs / 1e6).toFixed(2)} ms`);
benchConverter();
benchClutch();
benchFaults();
benchReasons();
benchStripDown();
benchOil();
benchDualClutch();
await benchRooms();
await benchUnits();
if (!Number.isFinite(checksum)) throw new Error('bench: a solution was not a number');
