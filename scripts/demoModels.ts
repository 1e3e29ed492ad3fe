import { readFileSync } from 'node:fs';

/** A model of the demo library. */
export const model = (file: string): never =>
  JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as never;

/** What the shop's yard tractors are driven by. */
export const yard = () => ({
  engine: model('engines/yard-diesel'),
  converter: model('converters/jetty-eleven'),
  vehicle: model('vehicles/yard-tractor'),
});
