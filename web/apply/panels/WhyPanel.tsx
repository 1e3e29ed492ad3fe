import { Fragment, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  derivation,
  ratioFormula,
  teethNamed,
  type DerivationStep,
  type Solution,
  type SpeedTerm,
  type Unit,
} from '../../../core/geartrain';
import { toNumber, toText, type Fraction, type Polynomial } from '../../../core/numerics';
import { formatRatio } from '../../shared/numbers';
import '../../shared/MathLine.css';
import '../../bench/WorkedSteps.css';
import './WhyPanel.css';
import { memberName } from '../../shared/unitNames';

interface Props {
  unit: Unit;
  solution: Solution;
  /** A line to be marked, from 0. */
  marked?: number | null;
}

/** How the ratio comes about: the formula in teeth, then one member eliminated after the other. */
export function WhyPanel({ unit, solution, marked = null }: Props) {
  const { t } = useTranslation();
  const steps = derivation(unit, solution);
  const formula = ratioFormula(unit, solution);
  const nameOf = (member: string) => memberName(unit, member);
  if (steps.length === 0) return <p>{t(`outcomesSaid.${solution.outcome}`)}</p>;
  return (
    <>
      {formula && (
        <div
          className="why-formula"
          role="group"
          tabIndex={0}
          aria-label={t('apply.formulaInTeeth')}
        >
          <span className="math">
            <i>i</i> <span className="math-sign">=</span>
            <span className="math-fraction">
              <span>{polynomial(formula.over)}</span>
              <span>{polynomial(formula.under)}</span>
            </span>
          </span>
        </div>
      )}
      {formula && <TeethLegend unit={unit} formula={[formula.over, formula.under]} />}
      <ol className="worked" aria-label={t('bench.worked')}>
        {steps.map((step, k) => (
          <li key={k} data-last={step.code === 'result'} data-parts={k === marked}>
            <span className="worked-words">{wordsOf(t, step, nameOf)}</span>
            <Line step={step} nameOf={nameOf} />
          </li>
        ))}
      </ol>
    </>
  );
}

type Translate = ReturnType<typeof useTranslation>['t'];

function wordsOf(t: Translate, step: DerivationStep, nameOf: (m: string) => string): string {
  switch (step.code) {
    case 'stands':
      return t('derivation.stands', { element: step.element, member: nameOf(step.member) });
    case 'together': {
      const [a, b] = step.members.map(nameOf);
      return t('derivation.together', { element: step.element, a, b });
    }
    case 'set':
      return t('derivation.set', { set: step.set });
    case 'express':
      return t('derivation.express', { set: step.set, member: nameOf(step.member) });
    case 'put-in':
      return t('derivation.putIn', { set: step.set });
    case 'result':
      return t('derivation.result');
  }
}

/** The step's equation; what stands or turns together has none. */
function Line({ step, nameOf }: { step: DerivationStep; nameOf: (m: string) => string }) {
  if (step.code === 'stands' || step.code === 'together') return null;
  if (step.code === 'result')
    return (
      <span className="math">
        <i>i</i> <span className="math-sign">=</span> <FractionText value={step.ratio} />
        {step.ratio.den !== 1n && (
          <>
            {' '}
            <span className="math-sign">=</span> {formatRatio(toNumber(step.ratio))}
          </>
        )}
      </span>
    );
  const [left, right] =
    step.code === 'express'
      ? [[{ member: step.member, coefficient: ONE }], step.terms]
      : sides(step.terms);
  return (
    <span className="math why-line">
      <Terms terms={left} nameOf={nameOf} /> <span className="math-sign">=</span>{' '}
      <Terms terms={right} nameOf={nameOf} />
    </span>
  );
}

const ONE: Fraction = { num: 1n, den: 1n };

/** Positive terms at the left, the others at the right with their sign turned. */
function sides(terms: readonly SpeedTerm[]): [SpeedTerm[], SpeedTerm[]] {
  const left = terms.filter((x) => x.coefficient.num > 0n);
  const right = terms
    .filter((x) => x.coefficient.num < 0n)
    .map((x) => ({ ...x, coefficient: { ...x.coefficient, num: -x.coefficient.num } }));
  return left.length === 0 ? [right, left] : [left, right];
}

function Terms({ terms, nameOf }: { terms: readonly SpeedTerm[]; nameOf: (m: string) => string }) {
  if (terms.length === 0) return <>0</>;
  return (
    <>
      {terms.map(({ member, coefficient }, k) => {
        const negative = coefficient.num < 0n;
        const size = negative ? { ...coefficient, num: -coefficient.num } : coefficient;
        return (
          <Fragment key={member}>
            {k > 0 && <wbr />}
            {(k > 0 || negative) && <span className="math-sign">{negative ? '−' : '+'}</span>}
            {!(size.num === 1n && size.den === 1n) && (
              <>
                <FractionText value={size} />·
              </>
            )}
            <span className="why-speed">
              <i>ω</i>
              <sub>{nameOf(member)}</sub>
            </span>
          </Fragment>
        );
      })}
    </>
  );
}

function FractionText({ value }: { value: Fraction }) {
  if (value.den === 1n) return <>{toText(value).replace('-', '−')}</>;
  const size = value.num < 0n ? -value.num : value.num;
  return (
    <>
      {value.num < 0n && '−'}
      <span className="math-fraction">
        <span>{`${size}`}</span>
        <span>{`${value.den}`}</span>
      </span>
    </>
  );
}

const LETTERS: Readonly<Record<string, string>> = { sun: 's', ring: 'r', first: '1', second: '2' };

/** "N" with the gear and its set below it. */
function ToothName({ name }: { name: string }) {
  const at = name.lastIndexOf('.');
  return (
    <span>
      <i>N</i>
      <sub>
        {LETTERS[name.slice(at + 1)]} {name.slice(0, at)}
      </sub>
    </span>
  );
}

function polynomial(p: Polynomial): ReactNode {
  const terms = [...p].sort(([a], [b]) => a.length - b.length || (a < b ? -1 : 1));
  return terms.map(([key, value], k) => {
    const size = value < 0n ? -value : value;
    const names = key === '' ? [] : key.split('*');
    return (
      <Fragment key={key}>
        {(k > 0 || value < 0n) && <span className="math-sign">{value < 0n ? '−' : '+'}</span>}
        {(size !== 1n || names.length === 0) && `${size}`}
        {names.map((name, n) => (
          <Fragment key={n}>
            {n > 0 && '·'}
            <ToothName name={name} />
          </Fragment>
        ))}
      </Fragment>
    );
  });
}

/** Every gear of the formula with its teeth. */
function TeethLegend({ unit, formula }: { unit: Unit; formula: readonly Polynomial[] }) {
  const names = [
    ...new Set(
      formula.flatMap((p) => [...p.keys()].flatMap((k) => (k === '' ? [] : k.split('*')))),
    ),
  ].sort();
  return (
    <p className="why-teeth quiet">
      {names.map((name) => (
        <span key={name} className="math">
          <ToothName name={name} /> = {teethNamed(unit, name)}
        </span>
      ))}
    </p>
  );
}
