import { useTranslation } from 'react-i18next';
import type { Problem } from '../../../core/formats';
import type { Quantity } from '../../../core/quantities';
import { NumberField } from '../../shared/NumberField';

/** A number somewhere in a document: where, how it is shown, and what its stored number is shown times. */
export interface NumberPath {
  /** `disc.cushion.travel`; its last word names the field. */
  readonly path: string;
  /** Another name, where the last word says too little. */
  readonly label?: string;
  readonly quantity?: Quantity;
  readonly unit?: string;
  readonly scale?: number;
  readonly step?: number;
  /** What holds where the document leaves it out. */
  readonly otherwise?: number;
}

interface Props<T extends object> {
  document: T;
  numbers: readonly NumberPath[];
  problems: readonly Problem[];
  onDocument: (document: T, field: string) => void;
}

/** Fields for numbers deep in a document. */
export function NumberPaths<T extends object>({
  document,
  numbers,
  problems,
  onDocument,
}: Props<T>) {
  const { t } = useTranslation();
  return (
    <div className="number-fields">
      {numbers.map(({ path, label, scale = 1, otherwise, ...look }) => {
        const keys = path.split('.');
        const value = keys.reduce<unknown>(
          (at, key) => (at as Record<string, unknown>)[key],
          document,
        );
        return (
          <NumberField
            key={path}
            label={t(`modelFields.${label ?? keys.at(-1)!}`)}
            value={((value as number | undefined) ?? otherwise!) * scale}
            faulty={problems.some((p) => p.path === pathOf(keys))}
            onValue={(v) => onDocument(withNumber(document, keys, tidy(v / scale)), path)}
            {...look}
          />
        );
      })}
    </div>
  );
}

/** Digits that survive the way through another scale. */
const tidy = (value: number): number => Number(value.toPrecision(9));

/** As the schema writes it: `limits.pedalPlay[0]`. */
const pathOf = (keys: readonly string[]): string =>
  keys.map((k, i) => (/^\d+$/.test(k) ? `[${k}]` : i === 0 ? k : `.${k}`)).join('');

function withNumber<T>(at: T, [key, ...rest]: readonly string[], value: number): T {
  const next = (
    rest.length === 0 ? value : withNumber((at as Record<string, unknown>)[key!], rest, value)
  ) as never;
  if (Array.isArray(at)) return at.map((v: unknown, k) => (k === Number(key) ? next : v)) as T;
  return { ...at, [key!]: next };
}
