import { Select } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Unit } from '../../../../core/geartrain';
import { cellKey, newUnitQuestion, unitKey, type FillChartQuestion } from '../../../../core/lesson';
import { ChartGrid } from '../../../apply/ChartGrid';
import { toggled } from '../../../apply/applySlice';
import { Mark } from '../../../apply/Mark';
import type { EditorProps } from '../familyEditor';
import { QuestionFrame } from '../../builder/QuestionFrame';
import { unitKeyText, unitPrompt } from './words';
import { rangeName } from '../../../shared/unitNames';
import { UnitSetupEditor } from '../../builder/UnitBenchEditor';
import { AboutModel } from '../../builder/AboutModel';
import { RangesField } from '../../builder/RangesField';
import { TypedNumber } from '../../../shared/TypedNumber';

type Props = EditorProps<'unit'>;

/** What is asked about a whole unit, and the answer that the model gives at this moment. */
export function UnitEditor({ question, onQuestion }: Props) {
  const { t } = useTranslation();
  return (
    <AboutModel
      kind="fair-sprocket/unit"
      label={t('apply.unit')}
      value={question.unit}
      question={question}
      fresh={(unit) => newUnitQuestion(question.kind, unit)}
      onQuestion={onQuestion}
    >
      {(unit) => <Framed question={question} unit={unit} onQuestion={onQuestion} />}
    </AboutModel>
  );
}

function Framed({ question, unit, onQuestion }: FieldProps) {
  const { t } = useTranslation();
  const key = useMemo(() => unitKey(question, unit), [question, unit]);
  return (
    <QuestionFrame
      prompt={question.prompt}
      worded={unitPrompt(t, { ...question, prompt: '' }, unit)}
      onPrompt={(prompt) => onQuestion({ ...question, prompt })}
      fault={key.ok ? null : key.fault}
      answer={key.ok ? unitKeyText(t, question, unit) : null}
    >
      <Fields question={question} unit={unit} onQuestion={onQuestion} />
    </QuestionFrame>
  );
}

interface FieldProps extends Props {
  unit: Unit;
}

function Fields({ question, unit, onQuestion }: FieldProps) {
  const { t } = useTranslation();
  switch (question.kind) {
    case 'fill-chart':
      return <ChartFields question={question} unit={unit} onQuestion={onQuestion} />;
    case 'row-outcome':
      return (
        <>
          <UnitSetupEditor
            unit={unit}
            apply={question.apply}
            load={question.load}
            onApply={(apply) => onQuestion({ ...question, apply })}
            onLoad={(load) => onQuestion({ ...question, load })}
          />
          <label className="row">
            <span className="label">{t('question.tolerance')}</span>
            <TypedNumber
              label={t('question.tolerance')}
              min={0}
              max={100}
              step={0.5}
              value={question.tolerance.value}
              onValue={(value) =>
                value !== null && onQuestion({ ...question, tolerance: { kind: 'percent', value } })
              }
            />
            {t('toleranceKinds.percent')}
          </label>
        </>
      );
    case 'trace-path':
    case 'reaction':
    case 'drive-or-coast':
      return (
        <label className="field">
          <span className="label">{t('unitBlock.range')}</span>
          <Select
            aria-label={t('unitBlock.range')}
            value={question.range}
            style={{ width: 160 }}
            onChange={(range) => onQuestion({ ...question, range })}
            options={unit.ranges.map((r) => ({ value: r.id, label: rangeName(unit, r.id) }))}
          />
        </label>
      );
  }
}

interface ChartProps extends FieldProps {
  question: FillChartQuestion;
}

/** Which rows are asked, and which of their cells are given. */
function ChartFields({ question, unit, onQuestion }: ChartProps) {
  const { t } = useTranslation();
  const asked = unit.ranges.filter((r) => question.ranges.includes(r.id));
  return (
    <>
      <RangesField
        unit={unit}
        ranges={question.ranges}
        onRanges={(ranges) => onQuestion({ ...question, ranges })}
      />
      <p className="quiet">{t('unitBlock.givenSaid')}</p>
      <div className="chart-given">
        <ChartGrid
          label={t('fill.chart')}
          ranges={asked}
          elements={unit.elements}
          cellOf={(range, element) => {
            const cell = cellKey(range.id, element.id);
            const on = range.apply.includes(element.id);
            const given = question.given.includes(cell);
            return {
              content: <Mark state={on ? 'applied' : 'open'} kind={element.kind} />,
              words: t(given ? 'fill.given' : 'fill.asked'),
              on: given,
              mark: given ? 'given' : undefined,
              onToggle:
                element.kind === 'one-way'
                  ? undefined
                  : () => onQuestion({ ...question, given: toggled(question.given, cell) }),
            };
          }}
        />
      </div>
    </>
  );
}
