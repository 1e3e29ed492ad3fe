import { useTranslation } from 'react-i18next';
import { SKETCH_AT, type Sketched } from '../../../../core/lesson';
import { monotoneCurve } from '../../../../core/numerics';
import { HandlePad } from '../../../shared/HandlePad';
import { padPath } from '../../../shared/padPath';
import { formatNumber } from '../../../shared/numbers';
import { PAPER } from './sketchPaper';

interface Props {
  curve: Sketched;
  values: readonly number[];
  /** Left out once the sketch is committed. */
  onValues: ((values: number[]) => void) | undefined;
  /** The true curve, drawn over the sketch. */
  truth: ((speedRatio: number) => number) | null;
}

/** A converter's curve over the speed ratio, drawn by its handles. */
export function SketchPad({ curve, values, onValues, truth }: Props) {
  const { t } = useTranslation();
  const title = t(`sketch.curves.${curve}`);
  return (
    <HandlePad
      {...PAPER[curve]}
      label={title}
      at={SKETCH_AT}
      xTitle={t('converter.speedRatio')}
      xText={(sr) => formatNumber(sr, 1)}
      markText={(v) =>
        curve === 'torque-ratio' ? formatNumber(v, 1) : `${formatNumber(100 * v, 0)} %`
      }
      values={values}
      onValues={onValues}
      line={monotoneCurve(SKETCH_AT, values).at}
      handleName={(sr) => t('sketch.handle', { curve: title, ratio: formatNumber(sr, 1) })}
    >
      {(x, y) =>
        truth && (
          <>
            <path className="sketch-truth" d={padPath(truth, [0, 1], x, y)} />
            <g className="sketch-legend" aria-hidden="true">
              <path className="sketch-truth" d={`M${x(0.62)} 34h34`} />
              <text x={x(0.62) + 42} y={39}>
                {t('reveal.model')}
              </text>
              <path className="sketch-line" d={`M${x(0.62)} 56h34`} />
              <text x={x(0.62) + 42} y={61}>
                {t('reveal.yours')}
              </text>
            </g>
          </>
        )
      }
    </HandlePad>
  );
}
