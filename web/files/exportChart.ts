import { applyChartCsv } from '../../core/formats';
import type { Range, Unit } from '../../core/geartrain';
import { download, fileName } from '../shared/download';

/** The apply chart for a spreadsheet; it can be read back in the unit editor. */
export function exportChart(unit: Unit, ratioOf: (range: Range) => string): void {
  download(fileName(unit.name, 'chart.csv'), applyChartCsv(unit, ratioOf), 'text/csv');
}
