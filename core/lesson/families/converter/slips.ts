/** What learners get wrong about a converter: each is recognised by the answer that gives it away. */
export const CONVERTER_SLIPS = [
  'multiplies-at-road-speed',
  'no-multiplication-at-stall',
  'efficient-at-stall',
  'lock-up-multiplies',
  'engine-torque-for-turbine',
  'no-slip-expected',
  'stall-at-governor-expected',
  'weak-engine-stalls-higher',
  'slipping-stator-stalls-higher',
  'seized-shows-at-stall',
  'size-the-wrong-way',
  'stator-lets-go-at-once',
  'pulls-most-when-coupled',
  'locks-while-it-multiplies',
  'seized-spares-top-speed',
  'launches-without-stator',
] as const;
export type ConverterSlip = (typeof CONVERTER_SLIPS)[number];
