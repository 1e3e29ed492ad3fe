import type { ReactNode } from 'react';
import type { MathToken, Port } from '../../core/geartrain';
import { formatNumber } from './numbers';
import './MathLine.css';

const SUBSCRIPT: Readonly<Record<Port, string>> = { sun: 's', carrier: 'c', ring: 'r' };

/** A line of a derivation, set in type and readable aloud. */
export function MathLine({ line }: { line: readonly MathToken[] }) {
  return (
    <span className="math" role="math" aria-label={spoken(line)}>
      <span aria-hidden="true">{line.map(show)}</span>
    </span>
  );
}

function show(token: MathToken, key: number): ReactNode {
  switch (token.t) {
    case 'speed':
      return <Symbol key={key} base="ω" sub={SUBSCRIPT[token.part]} />;
    case 'teeth':
      return <Symbol key={key} base="N" sub={SUBSCRIPT[token.part]} />;
    case 'ratio':
      return <i key={key}>i</i>;
    case 'number':
      return <span key={key}>{plain(token.value)}</span>;
    case 'sign':
      return (
        <span key={key} className={'()·'.includes(token.sign) ? undefined : 'math-sign'}>
          {token.sign}
        </span>
      );
    case 'fraction':
      return (
        <span key={key} className="math-fraction">
          <span>{token.over.map(show)}</span>
          <span>{token.under.map(show)}</span>
        </span>
      );
  }
}

const Symbol = ({ base, sub }: { base: string; sub: string }) => (
  <span>
    <i>{base}</i>
    <sub>{sub}</sub>
  </span>
);

const plain = (value: number): string =>
  Number.isInteger(value) ? formatNumber(value, 0) : formatNumber(value, 2);

function spoken(line: readonly MathToken[]): string {
  return line
    .map((token): string => {
      switch (token.t) {
        case 'speed':
          return `ω ${token.part}`;
        case 'teeth':
          return `N ${token.part}`;
        case 'ratio':
          return 'i';
        case 'number':
          return plain(token.value);
        case 'sign':
          return token.sign === '·' ? '×' : token.sign;
        case 'fraction':
          return `(${spoken(token.over)}) / (${spoken(token.under)})`;
      }
    })
    .join(' ');
}
