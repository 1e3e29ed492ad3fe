import { Button, Checkbox, Input } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { USUAL_COUPLING } from '../../core/clutch';
import { rigOfCase, singleFaults, type FaultCase, type Rig } from '../../core/faults';
import { MOST_CAUSES } from '../../core/formats';
import { MachineRow } from '../bench/MachineRow';
import { NumberField } from '../shared/NumberField';
import { FaultPicker } from './FaultPicker';
import { PriorsTable } from './PriorsTable';
import './Desk.css';

interface Props {
  faultCase: FaultCase;
  onCase: (faultCase: FaultCase, field?: string) => void;
}

const PARTS = ['unit', 'engine', 'converter', 'clutch', 'vehicle'] as const;
const MOST_MINUTES = 100_000;

/** What a case is made of: the machine, what is wrong with it, what its driver says, and what it may cost. */
export function CaseFields({ faultCase, onCase }: Props) {
  const { t } = useTranslation();
  const rig = useMemo(() => rigOfCase(faultCase), [faultCase]);
  const kinds = useMemo(() => [...new Set(singleFaults(rig).map((f) => f.kind))], [rig]);
  const fields: FieldsProps = {
    faultCase,
    onCase,
    without: (field) => {
      const next = { ...faultCase };
      delete next[field];
      return next;
    },
  };
  return (
    <>
      <h3>{t('caseFields.machine')}</h3>
      <MachineFields {...fields} />
      <h3>{t('caseFields.cause')}</h3>
      <CauseFields {...fields} rig={rig} />
      <label className="field">
        <span className="label">{t('caseFields.complaint')}</span>
        <Input.TextArea
          autoSize={{ minRows: 2, maxRows: 8 }}
          placeholder={t('caseFields.complaintHow')}
          value={faultCase.complaint}
          onChange={(e) => onCase({ ...faultCase, complaint: e.target.value }, 'complaint')}
        />
      </label>
      <TimeFields {...fields} />
      <PriorsTable
        kinds={kinds}
        priors={faultCase.priors ?? {}}
        onPriors={(priors) =>
          onCase(
            Object.keys(priors).length > 0 ? { ...faultCase, priors } : fields.without('priors'),
            'priors',
          )
        }
      />
    </>
  );
}

interface FieldsProps extends Props {
  readonly without: (field: keyof FaultCase) => FaultCase;
}

function MachineFields({ faultCase, onCase, without }: FieldsProps) {
  const { t } = useTranslation();
  return (
    <>
      {PARTS.map((part) => (
        <MachineRow
          key={part}
          kind={`fair-sprocket/${part}`}
          own={faultCase[part]}
          onModel={(model) => onCase(model ? { ...faultCase, [part]: model } : without(part), part)}
        />
      ))}
      <Checkbox
        checked={faultCase.coupling !== undefined}
        onChange={(e) =>
          onCase(
            e.target.checked ? { ...faultCase, coupling: USUAL_COUPLING } : without('coupling'),
            'coupling',
          )
        }
      >
        {t('caseFields.coupling')}
      </Checkbox>
    </>
  );
}

function CauseFields({ faultCase, onCase, rig }: FieldsProps & { readonly rig: Rig }) {
  const { t } = useTranslation();
  const { cause } = faultCase;
  return [...cause, null].slice(0, MOST_CAUSES).map((fault, k) => (
    <FaultPicker
      key={String(k)}
      rig={rig}
      value={fault}
      sound
      label={t('caseFields.causeN', { n: k + 1 })}
      onValue={(next) =>
        onCase(
          {
            ...faultCase,
            cause: [...cause.slice(0, k), ...(next ? [next] : []), ...cause.slice(k + 1)],
          },
          `cause${String(k)}`,
        )
      }
    />
  ));
}

function TimeFields({ faultCase, onCase, without }: FieldsProps) {
  const { t } = useTranslation();
  return (
    <div className="number-fields">
      <NumberField
        label={t('caseFields.driven')}
        unit="min"
        value={faultCase.minutes}
        within={[0, MOST_MINUTES]}
        onValue={(minutes) => onCase({ ...faultCase, minutes }, 'minutes')}
      />
      {faultCase.limitMinutes === undefined ? (
        <Button onClick={() => onCase({ ...faultCase, limitMinutes: 60 }, 'limitMinutes')}>
          {t('caseFields.setLimit')}
        </Button>
      ) : (
        <>
          <NumberField
            label={t('caseFields.limit')}
            unit="min"
            value={faultCase.limitMinutes}
            within={[1, MOST_MINUTES]}
            onValue={(limitMinutes) => onCase({ ...faultCase, limitMinutes }, 'limitMinutes')}
          />
          <Button onClick={() => onCase(without('limitMinutes'), 'limitMinutes')}>
            {t('caseFields.noLimit')}
          </Button>
        </>
      )}
    </div>
  );
}
