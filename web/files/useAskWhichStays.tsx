import { App, Button } from 'antd';
import dayjs from 'dayjs';
import { useTranslation } from 'react-i18next';
import type { Attempt } from '../../core/lesson';

/** Two records of one id, to be shown beside each other. */
export interface Both {
  readonly here: Attempt;
  readonly inFile: Attempt;
}

export type Choice = 'replace' | 'both' | 'cancel';

/** Something of the same id with other content is here already: the user says what stays. */
export function useAskWhichStays(): (title: string, both: Both | null) => Promise<Choice> {
  const { t } = useTranslation();
  const { modal } = App.useApp();
  const facts = ({ student, startedAt, answers }: Attempt) =>
    t('import.recordFacts', {
      student,
      begun: dayjs(startedAt).format('D MMM YYYY, HH:mm'),
      count: answers.length,
    });
  return (title, both) =>
    new Promise<Choice>((done) => {
      const dialog = modal.confirm({
        title: both ? title : t('import.existsTitle', { title }),
        content: (
          <>
            {both && (
              <dl className="which-stays">
                <dt className="label">{t('import.recordHere')}</dt>
                <dd>{facts(both.here)}</dd>
                <dt className="label">{t('import.recordInFile')}</dt>
                <dd>{facts(both.inFile)}</dd>
              </dl>
            )}
            {t('import.existsDetail')}
          </>
        ),
        closable: true,
        onCancel: () => done('cancel'),
        footer: (
          <div className="row" style={{ justifyContent: 'flex-end', marginTop: 16 }}>
            {(['cancel', 'replace', 'both'] as const).map((choice) => (
              <Button
                key={choice}
                type={choice === 'both' ? 'primary' : 'default'}
                onClick={() => {
                  done(choice);
                  dialog.destroy();
                }}
              >
                {t(`import.choices.${choice}`)}
              </Button>
            ))}
          </div>
        ),
      });
    });
}
