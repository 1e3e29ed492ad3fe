import { useContext, useEffect, useRef, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type {
  AnyPart,
  AttemptAnswer,
  ClaimOf,
  FamilyName,
  GradedPart,
  Misconception,
  SubjectOf,
  Why,
} from '../../../core/lesson';
import { useNumbers } from '../../shared/numbers';
import type { FamilyWords } from '../families/familyWords';
import { keyLabel, reasonText } from '../families/reasonText';
import type { Next } from './NextButton';
import { QuestionAside } from './QuestionAside';
import { AskedWhy } from './ownWords';
import { PaperContext } from './onPaper';
import { RevealFrame } from './RevealFrame';
import { RoomTurnContext } from './roomTurn';
import type { Asked, AskedBlock } from './useAsked';
import { Unexplained } from './unexplained';

/** What the stage of every family is given. */
export interface StageProps<F extends FamilyName> {
  block: AskedBlock<F>;
  subject: SubjectOf<F>;
  round: number;
  /** Trying again brings other numbers. */
  varies: boolean;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

interface Props<F extends FamilyName> extends Pick<
  StageProps<F>,
  'heading' | 'blocks' | 'next' | 'varies'
> {
  asked: Asked<F>;
  /** The words of the question's family. */
  words: FamilyWords<F>;
  /** What is drawn, operated or filled in. */
  sheet: ReactNode;
  sheetClass?: string;
  /** The fields of the prediction; only drawn while nothing is committed. */
  prediction: ReactNode;
  /** The lines that lead to the answer. */
  worked?: ReactNode;
}

/** A question: predict, commit, see. Until the commit nothing on the screen tells the answer. */
export function StageFrame<F extends FamilyName>(props: Props<F>) {
  const { asked, heading, blocks, sheet, sheetClass = '', prediction } = props;
  const { key, committed, unsaved } = asked;
  const room = useContext(RoomTurnContext);
  if (useContext(PaperContext))
    return (
      <>
        <div className={`paper-drawing ${sheetClass}`}>{sheet}</div>
        <AskedWhy.Provider value={asked.why}>{prediction}</AskedWhy.Provider>
      </>
    );
  return (
    <>
      <div className={`player-sheet ${sheetClass}`}>{sheet}</div>
      <QuestionAside
        heading={heading}
        blocks={blocks}
        unsaved={unsaved}
        fault={key && !key.ok ? key.fault : null}
      >
        {committed ? (
          <Reveal {...props} />
        ) : room?.sent ? (
          <Waiting {...props} sent={room.sent} />
        ) : (
          <>
            <AskedWhy.Provider value={asked.why}>{prediction}</AskedWhy.Provider>
            {room && room.trouble !== '' && (
              <p role="alert" className="room-trouble">
                {room.trouble}
              </p>
            )}
          </>
        )}
      </QuestionAside>
    </>
  );
}

/** What was sent to the room, until everybody sees the answer. */
function Waiting<F extends FamilyName>({
  asked: { question, subject },
  words,
  sent,
}: Props<F> & { sent: AttemptAnswer }) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.scrollIntoView({ block: 'center' });
  }, []);
  // Sent from this very question.
  const said = words.answer(t, numbers, question, subject, sent.answer);
  return (
    <section className="room-waiting" aria-live="polite">
      <h2 ref={heading}>{t('room.sent')}</h2>
      <p className="label">{t('reveal.yours')}</p>
      <p className="reveal-words">{said.main}</p>
      {said.detail && <p className="quiet">{said.detail}</p>}
      <p>{t('room.waitForAll')}</p>
    </section>
  );
}

/** The prediction beside the model's answer, and why they differ. */
function Reveal<F extends FamilyName>({ asked, words, next, worked, varies }: Props<F>) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { question, subject, key, committed, given, graded, again } = asked;
  const model = key && words.key(t, numbers, question, subject, key);
  if (!committed || !given || !graded || !model) return null;
  // Of the same family as the question: its own grader said it.
  const why = graded.why as Why<Misconception, ClaimOf<F>>;
  return (
    <RevealFrame
      prompt={words.prompt(t, numbers, question, subject)}
      answer={committed}
      parts={graded.parts.map((part: GradedPart<AnyPart>) => ({
        name: words.part(t, part, subject),
        right: part.right,
      }))}
      said={words.answer(t, numbers, question, subject, given)}
      model={model}
      whose={t(keyLabel(words))}
      reason={reasonText(words, t, numbers, why, question, subject, graded.score === 1)}
      next={next}
      onAgain={again}
      again={t(varies ? `reveal.again.${subject.kind}` : 'reveal.againSame')}
    >
      <Unexplained.Provider value={graded.score < 1 && why.named.length === 0}>
        {worked}
      </Unexplained.Provider>
    </RevealFrame>
  );
}
