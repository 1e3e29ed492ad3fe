import { useTranslation } from 'react-i18next';
import type { CaseProblem, FaultCase } from '../../core/faults';
import type { Unit } from '../../core/geartrain';
import { CautionBox } from '../bench/CautionBox';
import { useNumbers } from '../shared/numbers';
import { reportOn } from '../workers/faultWorker';
import { useSettledRun } from '../workers/useSettledRun';
import { complaintText } from './complaintWords';
import { checkText, faultText, kindText, readingText, targetName } from './faultWords';
import './Desk.css';

/** What a case comes to: whether it can be given out, what its driver notices, and how an expert would find it. */
export function CasePreview({ faultCase }: { faultCase: FaultCase }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const unit = faultCase.unit ?? null;
  const { result, failure } = useSettledRun(
    faultCase,
    reportOn,
    (a, b) => a.unit === b.unit && a.cause === b.cause,
  );
  if (!result) return <p className="sheet-wait">{failure || t('casePreview.working')}</p>;
  const { problems, complaint, alike, expert } = result;
  return (
    <div className="case-preview">
      {problems.length > 0 ? (
        <div className="nothing-fits" role="alert">
          <strong>{t('casePreview.refused')}</strong>
          <ul>
            {problems.map((p) => (
              <li key={JSON.stringify(p)}>{problemText(p, unit, t)}</li>
            ))}
          </ul>
        </div>
      ) : (
        <>
          <h2>{faultText(t, unit, faultCase.cause)}</h2>
          <section>
            <h3>{t('casePreview.noticed')}</h3>
            <p className="ticket-says">{complaintText(t, unit, complaint)}</p>
            <p>{t('casePreview.alike', { count: alike })}</p>
          </section>
          {expert && (
            <section>
              <h3>{t('desk.expertWay', { minutes: expert.minutes })}</h3>
              {expert.steps.length === 0 && <p>{t('desk.complaintEnough')}</p>}
              <ol>
                {expert.steps.map((s) => (
                  <li key={s.check.id}>
                    {checkText(t, unit, s.check)}{' '}
                    <strong>{readingText(t, numbers, s.check, s.answer)}</strong>
                    <span className="quiet"> {t('desk.leaves', { count: s.left })}</span>
                  </li>
                ))}
              </ol>
            </section>
          )}
        </>
      )}
      <CautionBox block={{ id: 'lift', kind: 'caution', topic: 'lifting', markdown: '' }} />
    </div>
  );
}

function problemText(
  problem: CaseProblem,
  unit: Unit | null,
  t: ReturnType<typeof useTranslation>['t'],
): string {
  const values = {
    target: 'target' in problem ? targetName(t, unit, problem.target) : '',
    kind: 'kind' in problem ? kindText(t, problem.kind) : '',
  };
  return t(`casePreview.problems.${problem.code}`, values);
}
