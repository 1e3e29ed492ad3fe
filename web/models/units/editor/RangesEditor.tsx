import { Alert, Button, Input } from 'antd';
import { memo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_NAME, readApplyChart, type ChartProblem } from '../../../../core/formats';
import { solveUnit, type Range } from '../../../../core/geartrain';
import { toNumber } from '../../../../core/numerics';
import { ApplyChart } from '../../../apply/ApplyChart';
import { cellToggled } from '../../../apply/applySlice';
import { exportChart } from '../../../files/exportChart';
import { FileButton } from '../../../shared/FileButton';
import { ArrowUpOutlined, DeleteOutlined, PlusOutlined } from '../../../shared/icons';
import { formatRatio } from '../../../shared/numbers';
import type { EditorProps, GivingProps } from './editorProps';
import { addRange, changeRange, raiseRange, removeRange } from './unitEdits';

interface Props extends GivingProps {
  /** The range on the drawing. */
  current: string;
  onCurrent: (id: string) => void;
}

/** The apply chart as the document's ranges: cells, lever and gear edited in place; out and in as CSV. */
export const RangesEditor = memo(function RangesEditor({
  unit,
  now,
  onUnit,
  current,
  onCurrent,
}: Props) {
  const { t } = useTranslation();
  const [problems, setProblems] = useState<readonly ChartProblem[]>([]);
  const takeCsv = async (files: File[]) => {
    const result = readApplyChart(await files[0]!.text(), unit);
    setProblems(result.ok ? [] : result.problems);
    if (result.ok) onUnit({ ...unit, ranges: result.ranges });
  };
  return (
    <>
      {problems.length > 0 && (
        <Alert
          type="error"
          closable={{ onClose: () => setProblems([]) }}
          title={t('csv.refused')}
          description={problems.slice(0, SHOWN).map((p, k) => (
            <div key={k}>{t(`csv.${p.code}`, { ...p })}</div>
          ))}
        />
      )}
      <ApplyChart
        unit={unit}
        ranges={unit.ranges}
        isCurrent={(range) => range.id === current}
        onCell={(range, element) => {
          onCurrent(range.id);
          onUnit({ ...unit, ranges: cellToggled(unit.ranges, range.id, element.id) });
        }}
        heading={(range) => (
          <RangeHeading unit={unit} onUnit={onUnit} range={range} onCurrent={onCurrent} />
        )}
      />
      <div className="row range-actions">
        <Button icon={<PlusOutlined />} onClick={() => onUnit(addRange(unit))}>
          {t('unitEditor.addRange')}
        </Button>
        <Button
          onClick={() => {
            const given = now();
            exportChart(given, (range) => {
              const { ratio } = solveUnit(given, range.apply);
              return ratio ? formatRatio(toNumber(ratio)) : '';
            });
          }}
        >
          {t('unitEditor.chartOut')}
        </Button>
        <FileButton accept=".csv,text/csv" onFiles={(files) => void takeCsv(files)}>
          {t('unitEditor.chartIn')}
        </FileButton>
      </div>
    </>
  );
});

const SHOWN = 6;

interface HeadingProps extends EditorProps {
  range: Range;
  onCurrent: (id: string) => void;
}

function RangeHeading({ unit, onUnit, range, onCurrent }: HeadingProps) {
  const { t } = useTranslation();
  const name = t('unitFindings.range', { lever: range.lever, gear: range.gear });
  return (
    <>
      {(['lever', 'gear'] as const).map((key) => (
        <td key={key} className="range-heading">
          <span className="row">
            {key === 'lever' && (
              <>
                <Button
                  size="small"
                  type="text"
                  icon={<DeleteOutlined />}
                  aria-label={t('unitEditor.remove', { name })}
                  onClick={() => onUnit(removeRange(unit, range.id))}
                />
                <Button
                  size="small"
                  type="text"
                  icon={<ArrowUpOutlined />}
                  disabled={unit.ranges[0]?.id === range.id}
                  aria-label={t('unitEditor.raise', { name })}
                  onClick={() => onUnit(raiseRange(unit, range.id))}
                />
              </>
            )}
            <Input
              aria-label={t(`unitEditor.rangeFields.${key}`, { id: range.id })}
              size="small"
              maxLength={MOST_NAME}
              value={range[key]}
              onFocus={() => onCurrent(range.id)}
              onChange={(e) =>
                onUnit(
                  changeRange(unit, { ...range, [key]: e.target.value }),
                  `range ${range.id} ${key}`,
                )
              }
            />
          </span>
        </td>
      ))}
    </>
  );
}
