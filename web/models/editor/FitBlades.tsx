import { Button, Progress } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { usualBlades, type StreamlineModel, type TableModel } from '../../../core/converter';
import { reasonOf } from '../../shared/reasonOf';
import { formatNumber } from '../../shared/numbers';
import { runFit } from '../../workers/converterWorker';
import { NumberField } from '../../shared/NumberField';

interface Props {
  table: TableModel;
  onModel: (model: StreamlineModel) => void;
  disabled: boolean;
}

type State =
  | { readonly kind: 'idle' }
  | { readonly kind: 'runs'; readonly share: number }
  | { readonly kind: 'done'; readonly model: StreamlineModel; readonly missed: number }
  | { readonly kind: 'failed'; readonly reason: string };

/** Finds blades that come nearest to the table, away from the page, and offers them. */
export function FitBlades({ table, onModel, disabled }: Props) {
  const { t } = useTranslation();
  const [radius, setRadius] = useState(110);
  const [state, setState] = useState<State>({ kind: 'idle' });
  const cancel = useRef<AbortController | null>(null);
  useEffect(() => () => cancel.current?.abort(), []);
  const start = () => {
    const controller = new AbortController();
    cancel.current = controller;
    setState({ kind: 'runs', share: 0 });
    let last: State = { kind: 'idle' };
    runFit(table, usualBlades(radius / 1000), controller.signal, ({ share, model, missed }) => {
      last = { kind: 'done', model, missed };
      setState({ kind: 'runs', share });
    }).then(
      () => setState(last),
      (error: unknown) =>
        setState(
          controller.signal.aborted
            ? { kind: 'idle' }
            : { kind: 'failed', reason: reasonOf(error) },
        ),
    );
  };
  return (
    <div className="part-card">
      <strong>{t('fit.title')}</strong>
      <p className="quiet">{t('fit.said')}</p>
      <div className="row">
        <NumberField
          label={t('fit.radius')}
          value={radius}
          quantity="length"
          step={5}
          onValue={(v) => setRadius(Math.min(1000, Math.max(10, v)))}
        />
        {state.kind === 'runs' ? (
          <Button onClick={() => cancel.current?.abort()}>{t('fit.cancel')}</Button>
        ) : (
          <Button disabled={disabled} onClick={start}>
            {t('fit.start')}
          </Button>
        )}
      </div>
      {state.kind === 'runs' && (
        <Progress percent={Math.round(100 * state.share)} aria-label={t('fit.title')} />
      )}
      {state.kind === 'failed' && <p role="alert">{t('fit.failed', { reason: state.reason })}</p>}
      {state.kind === 'done' && (
        <div className="row" role="status">
          <span>{t('fit.missed', { percent: formatNumber(100 * state.missed, 1) })}</span>
          <Button
            type="primary"
            onClick={() => {
              onModel(roundedBlades(state.model));
              setState({ kind: 'idle' });
            }}
          >
            {t('fit.take')}
          </Button>
        </div>
      )}
    </div>
  );
}

/** As many digits as a person would write down. */
function roundedBlades(model: StreamlineModel): StreamlineModel {
  const wheel = (w: StreamlineModel['pump']) => ({
    ...w,
    exitAngle: Number(w.exitAngle.toFixed(2)),
    inletAngle: Number(w.inletAngle.toFixed(2)),
  });
  return {
    ...model,
    pump: wheel(model.pump),
    turbine: wheel(model.turbine),
    stator: wheel(model.stator),
    area: Number(model.area.toPrecision(4)),
    shock: Number(model.shock.toFixed(3)),
    friction: Number(model.friction.toFixed(3)),
  };
}
