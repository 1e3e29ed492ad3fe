import { Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  DRAWN_AT,
  DRAWN_EVERY,
  exchangeIn,
  handOverIn,
  lineIn,
  shiftAsDrawn,
  type DrawnPressures,
  type DrawPressuresQuestion,
  type OilAnswer,
  type OilKey,
  type OilRig,
} from '../../../../core/lesson';
import { drawnAt } from '../../../../core/hydraulics';
import { HandlePad } from '../../../shared/HandlePad';
import { padPath } from '../../../shared/padPath';
import { formatNumber, useNumbers } from '../../../shared/numbers';
import { Traces, Verdicts } from '../../../shift/ShiftRun';
import { SIDES } from '../../../shift/shiftSides';

interface Props {
  question: DrawPressuresQuestion;
  rig: OilRig;
  keyNow: OilKey | null;
  drawn: DrawnPressures;
  /** What was committed. */
  answer: OilAnswer | undefined;
  onDrawn: (drawn: DrawnPressures) => void;
}

/** Two pressures to draw; after the commit an example beside them, and the shift that comes of what was drawn. */
export function DrawPressures({ question, rig, keyNow, drawn, answer, onDrawn }: Props) {
  const given = answer?.kind === 'draw-pressures' ? answer : null;
  const shown = given ?? drawn;
  const example = given && keyNow?.kind === 'draw-pressures' ? keyNow : null;
  const { coming, going } = useMemo(() => exchangeIn(rig, question.gear), [rig, question]);
  const line = useMemo(() => lineIn(rig, question), [rig, question]);
  const carried = useMemo(() => (given ? handOverIn(rig, question) : null), [rig, question, given]);
  const sides = [
    { which: 'going', elements: going },
    { which: 'coming', elements: coming },
  ] as const;
  return (
    <div className="oil-draw" data-shown={given !== null}>
      <div className="oil-draw-pads">
        {sides
          .filter(({ elements }) => elements.length > 0)
          .map(({ which, elements }) => (
            <PressurePad
              key={which}
              which={which}
              elements={elements}
              line={line}
              drawn={shown}
              example={example}
              holdsFrom={carried?.[which]?.pressure ?? null}
              onDrawn={given ? undefined : onDrawn}
            />
          ))}
      </div>
      {given && <AsDrawn question={question} rig={rig} given={given} example={example} />}
    </div>
  );
}

interface PadProps {
  which: keyof DrawnPressures;
  elements: readonly string[];
  line: number;
  drawn: DrawnPressures;
  example: DrawnPressures | null;
  /** Pa from which it holds all that it carries; `null` until that may be seen. */
  holdsFrom: number | null;
  onDrawn: ((drawn: DrawnPressures) => void) | undefined;
}

const END = DRAWN_AT.at(-1)!;

function PressurePad({ which, elements, line, drawn, example, holdsFrom, onDrawn }: PadProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const element = elements.join(' + ');
  const shown = (pascal: number) => formatNumber(numbers.toDisplay(pascal / 1000, 'pressure'), 0);
  const at = (row: readonly number[]) => (time: number) => drawnAt(row, time / DRAWN_EVERY);
  const nameAt = which === 'coming' ? 'start' : 'end';
  return (
    <div className="oil-draw-pad">
      <HandlePad
        compact
        nameAt={nameAt}
        label={t(`oilPrompts.draw.${which}`, { element, unit: numbers.unit('pressure') })}
        at={DRAWN_AT}
        xTitle={t('launch.time')}
        xText={(s) => (Math.round(10 * s) % 2 === 0 ? `${formatNumber(s, 1)} s` : '')}
        markText={shown}
        marks={[0, line / 2, line]}
        most={line}
        step={line / 50}
        values={drawn[which]}
        onValues={onDrawn && ((values) => onDrawn({ ...drawn, [which]: values }))}
        line={at(drawn[which])}
        handleName={(s) => t('oilPrompts.draw.handle', { element, time: formatNumber(s, 1) })}
      >
        {(x, y) => (
          <>
            {holdsFrom !== null && (
              <g className="oil-holds-from">
                <path d={`M${x(0)} ${y(holdsFrom)}H${x(END)}`} />
                <text
                  x={nameAt === 'end' ? x(END) - 8 : x(0) + 8}
                  y={y(holdsFrom) - 5}
                  textAnchor={nameAt}
                >
                  {t('oilPrompts.draw.holdsFrom')}
                </text>
              </g>
            )}
            {example && (
              <path className="sketch-truth" d={padPath(at(example[which]), [0, END], x, y)} />
            )}
          </>
        )}
      </HandlePad>
    </div>
  );
}

const LOOKED_AT = SIDES.filter((s) => s !== 'pressure');

interface AsDrawnProps extends Pick<Props, 'question' | 'rig'> {
  given: DrawnPressures;
  example: DrawnPressures | null;
}

/** What the drawing comes to on the unit, and what the example does. */
function AsDrawn({ question, rig, given, example }: AsDrawnProps) {
  const { t } = useTranslation();
  const [side, setSide] = useState<(typeof LOOKED_AT)[number]>('torque');
  const now = useMemo(() => shiftAsDrawn(rig, question, given), [rig, question, given]);
  const could = useMemo(
    () => example && shiftAsDrawn(rig, question, example),
    [rig, question, example],
  );
  return (
    <>
      <Verdicts now={now} before={could} names={{ now: 'drawn', before: 'example' }} />
      <Segmented
        aria-label={t('oil.shift.side')}
        value={side}
        onChange={setSide}
        options={LOOKED_AT.map((s) => ({ value: s, label: t(`oil.shift.sides.${s}`) }))}
      />
      <Traces now={now} before={null} side={side} />
    </>
  );
}
