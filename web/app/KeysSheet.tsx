import { Modal, Switch } from 'antd';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';
import { useAppDispatch, useAppSelector } from '../state/hooks';
import { settingsChanged } from '../state/settingsSlice';
import './KeysSheet.css';

interface KeyGroup {
  title: string;
  keys: readonly (readonly [string, string])[];
}

/** Every key of the application, by where it works. */
const GROUPS = [
  {
    title: 'bench',
    keys: [
      ['Space', 'turn'],
      ['← →', 'tooth'],
      ['S', 'slow'],
      ['1 2 3', 'part'],
      ['D', 'drives'],
      ['O', 'driven'],
      ['H', 'held'],
      ['K', 'lock'],
      ['F', 'free'],
      ['W', 'worked'],
      ['L', 'lever'],
    ],
  },
  {
    title: 'apply',
    keys: [
      ['1 … 9', 'rangeRow'],
      ['+ −', 'shift'],
      ['C', 'coast'],
      ['← → ↑ ↓', 'cells'],
      ['Space', 'toggleCell'],
    ],
  },
  {
    title: 'converter',
    keys: [
      ['B', 'brake'],
      ['L', 'lockUpKey'],
      ['↑ ↓', 'throttleKey'],
      ['V', 'viewKey'],
      ['Space', 'turn'],
      ['← →', 'stepKey'],
      ['S', 'slow'],
    ],
  },
  {
    title: 'clutch',
    keys: [
      ['↑ ↓', 'pedalKey'],
      ['P', 'pedalAll'],
    ],
  },
  {
    title: 'shift',
    keys: [
      ['+ −', 'leverKey'],
      ['↑ ↓', 'throttleKey'],
      ['← →', 'speedKey'],
    ],
  },
  {
    title: 'run',
    keys: [
      ['N PgDn', 'wallNext'],
      ['B PgUp', 'wallBack'],
      ['1 2 3', 'hand'],
      ['R', 'wallReveal'],
      ['C', 'wallCounts'],
      ['P', 'wallPointer'],
      ['.', 'wallDark'],
    ],
  },
  {
    title: 'stripDown',
    keys: [
      ['O', 'takeOffKey'],
      ['U', 'putBackKey'],
    ],
  },
  {
    title: 'player',
    keys: [
      ['Space', 'turn'],
      ['← →', 'tooth'],
      ['S', 'slow'],
      ['N', 'nextStep'],
      ['B', 'previousStep'],
    ],
  },
  {
    title: 'builder',
    keys: [
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['Space ↑ ↓ Space', 'move'],
    ],
  },
  { title: 'everywhere', keys: [['?', 'sheet']] },
] as const satisfies readonly KeyGroup[];

const BENCHES = ['ratio', 'apply', 'converter', 'clutch', 'shift', 'faults', 'strip-down'] as const;
const THREE = [1, 2, 3] as const;

/** What there is to try on the bench that is open, and every key. */
export function KeysSheet({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const singleKeys = useAppSelector((state) => state.settings.singleKeys);
  const { pathname } = useLocation();
  const bench = BENCHES.find((b) => new RegExp(`^/(teach|learn)/${b}(/|$)`).test(pathname));
  return (
    <Modal title={t('keys.title')} open onCancel={onClose} footer={null} width={760}>
      {bench && (
        <section className="keys-try">
          <h2 className="label">{t('tryThese.title')}</h2>
          <ol>
            {THREE.map((n) => (
              <li key={n}>{t(`tryThese.${bench}.${n}`)}</li>
            ))}
          </ol>
        </section>
      )}
      <div className="keys-groups">
        {GROUPS.map(({ title, keys }) => (
          <section key={title}>
            <h2 className="label">{t(`keys.groups.${title}`)}</h2>
            <dl>
              {keys.map(([key, action]) => (
                <div key={action}>
                  <dt>
                    {key.split(' ').map((k, i) => (
                      <kbd key={i}>{k}</kbd>
                    ))}
                  </dt>
                  <dd>{t(`keys.actions.${action}`)}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
      <label className="row keys-switch">
        <Switch
          checked={singleKeys}
          onChange={(on) => dispatch(settingsChanged({ singleKeys: on }))}
        />
        {t('keys.single')}
      </label>
    </Modal>
  );
}
