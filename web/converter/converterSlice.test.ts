import { converterBenchChanged, converterReducer, selectConverterBench } from './converterSlice';

test('the bench starts at stall with a sound stator, and each control changes its own part', () => {
  const start = converterReducer(undefined, { type: '' });
  expect(start).toMatchObject({ turbineRpm: 0, lockUp: false, fault: null });
  const opened = converterReducer(start, converterBenchChanged({ throttle: 0.9 }));
  const faulty = converterReducer(opened, converterBenchChanged({ fault: 'slips' }));
  expect(faulty).toEqual({ ...start, throttle: 0.9, fault: 'slips' });
  expect(selectConverterBench({ converter: faulty })).toBe(faulty);
});
