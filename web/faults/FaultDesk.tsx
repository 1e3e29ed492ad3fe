import { Button, Select } from 'antd';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useLocation, useSearchParams } from 'react-router';
import {
  DIFFICULTIES,
  drawnCase,
  type DiagnosisGrade,
  type Difficulty,
  type FaultCase,
  type LaidCase,
} from '../../core/faults';
import { useAppDispatch, useAppSelector, useServices } from '../state/hooks';
import { chosenFrom } from '../bench/chosenFrom';
import { ModelSelect } from '../bench/ModelSelect';
import { shelfOf } from '../bench/modelPlaces';
import { selectCases } from '../state/modelsSlice';
import { Desk } from './Desk';
import { caseLaid, deskChanged, selectDesk, workChanged, type DeskState } from './deskSlice';
import { drawnName } from './faultWords';
import { FaultPlaces } from './FaultPlaces';
import { Opening } from './Opening';
import { useDesk, type DeskNow } from './useDesk';
import './Desk.css';

/** The Fault desk by itself: a case of the library, or one drawn from it. */
export function FaultDesk() {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const state = useAppSelector(selectDesk);
  const stored = chosenFrom(useAppSelector(selectCases), state.caseId);
  const [asked] = useSearchParams();
  useEffect(() => {
    const caseId = asked.get('case');
    if (caseId) dispatch(caseLaid({ caseId, drawn: null }));
  }, [asked, dispatch]);
  const faultCase =
    stored && state.drawn ? drawnCase(stored, state.drawn, drawnName(t, stored)) : stored;
  return (
    <main className="fault-desk" id="main">
      <h1 className="visually-hidden">{t('nav.desk')}</h1>
      {faultCase && stored ? (
        <CaseOnDesk key={faultCase.id} faultCase={faultCase} stored={stored} state={state} />
      ) : (
        <p className="library-empty">
          {t('desk.empty')} <Link to={shelfOf('fair-sprocket/fault-case')}>{t('nav.models')}</Link>
        </p>
      )}
    </main>
  );
}

interface LaidProps {
  state: DeskState;
  /** What the page may know of the case. */
  faultCase: LaidCase;
  stored: FaultCase;
}

/** A case with the bar over it; both speak with the worker that has the case. */
function CaseOnDesk(props: LaidProps) {
  const desk = useDesk(props.stored, props.state.drawn);
  return (
    <>
      <DeskBar {...props} ready={desk.kind !== 'opening'} />
      <OpenCase {...props} desk={desk} />
    </>
  );
}

interface BarProps extends LaidProps {
  /** The case is laid out, or can't be. */
  ready: boolean;
}

/** Which case, or a new one drawn for the same machine. */
function DeskBar({ state, stored, ready }: BarProps) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const services = useServices();
  const teaches = useLocation().pathname.startsWith('/teach');
  const draw = () =>
    dispatch(
      caseLaid({
        caseId: stored.id,
        drawn: { seed: services.newId(), difficulty: state.difficulty },
      }),
    );
  return (
    <div className="desk-bar">
      {teaches && <FaultPlaces />}
      <ModelSelect
        kind="fair-sprocket/fault-case"
        value={state.drawn ? undefined : stored.id}
        onValue={(caseId) => dispatch(caseLaid({ caseId, drawn: null }))}
      />
      <Select<Difficulty>
        aria-label={t('desk.difficulty')}
        value={state.difficulty}
        onChange={(difficulty) => dispatch(deskChanged({ difficulty }))}
        options={DIFFICULTIES.map((d) => ({ value: d, label: t(`desk.difficulties.${d}`) }))}
      />
      <Button onClick={draw} disabled={!ready}>
        {t('desk.draw')}
      </Button>
      <Button onClick={() => dispatch(caseLaid({ caseId: state.caseId, drawn: state.drawn }))}>
        {t('desk.again')}
      </Button>
      {teaches && !state.drawn && (
        <Link className="desk-edit" to={`${shelfOf('fair-sprocket/fault-case')}/${stored.id}`}>
          {t('desk.edit')}
        </Link>
      )}
    </div>
  );
}

function OpenCase({ faultCase, state, desk }: LaidProps & { desk: DeskNow }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const [grade, setGrade] = useState<DiagnosisGrade | null>(null);
  const { work } = state;
  if (desk.kind === 'opening') return <Opening {...desk.progress} />;
  if (desk.kind === 'failed')
    return (
      <p className="library-empty" role="alert">
        {t('desk.failed', { reason: desk.reason })}
      </p>
    );
  const { session } = desk;
  const verdict = () => {
    const diagnosis = { cause: [...work.named].sort().join(' + '), remedy: work.remedy! };
    void session.grade(work.log, diagnosis).then((result) => {
      setGrade(result);
      dispatch(workChanged({ given: true }));
    });
  };
  return (
    <Desk
      faultCase={faultCase}
      session={session}
      work={work}
      mayHelp
      grade={work.given ? grade : null}
      onWork={(change) => dispatch(workChanged(change))}
      onVerdict={verdict}
    />
  );
}
