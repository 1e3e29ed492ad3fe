import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { isVaried, firstPosed, type Lesson } from '../../core/lesson';
import { moved, type Room } from '../../core/room';
import { answerFor, promptFor, rightFor } from '../lessons/families/words';
import { inOneLine } from '../lessons/worded';
import { formatNumber, useNumbers } from '../shared/numbers';
import { barsOf, type Bar, type GradedCommit } from './spread';
import { useTurnOf } from './useRoomClass';

interface Props {
  lesson: Lesson;
  room: Room;
}

/** What the whole class looks at: the question, how many have committed, the spread, and at the reveal what the model says. */
export function Board({ lesson, room }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { question, graded } = useTurnOf(lesson, room);
  const { turn } = room;
  const posed = useMemo(
    () => question && firstPosed(lesson, { id: turn?.question ?? '', question }, ''),
    [lesson, question, turn?.question],
  );
  if (!turn || !question || !posed)
    return (
      <div className="room-board">
        <h1>{lesson.title}</h1>
        <p>{t('room.inside', { count: room.students.length })}</p>
      </div>
    );
  const committed = graded.filter((g) => g.commit.vote === turn.vote).length;
  // Where everybody has numbers of their own, an answer says nothing by itself.
  const own = isVaried(question);
  const right = turn.revealed && !own ? rightFor(t, numbers, posed.question, posed.subject) : null;
  return (
    <div className="room-board" data-revealed={turn.revealed}>
      <h1>
        {promptFor(t, numbers, own ? { ...question, prompt: '' } : posed.question, posed.subject)}
      </h1>
      {own && <p className="room-board-note">{t('room.everyTheirOwn')}</p>}
      <p className="room-board-count" role="status">
        <strong>{committed}</strong>{' '}
        {t(turn.vote === 2 ? 'room.committedAgain' : 'room.committedOf', {
          inside: room.students.length,
        })}
      </p>
      {(turn.spread || turn.revealed) && (
        <Spread graded={graded} own={own} revealed={turn.revealed} twice={turn.vote === 2} />
      )}
      {right && (
        <p className="room-board-right">
          <span className="label">{t('reveal.model')}</span> <strong>{right.main}</strong>{' '}
          {right.detail}
        </p>
      )}
      {turn.revealed && <MovedLine room={room} graded={graded} />}
    </div>
  );
}

function Spread({
  graded,
  own,
  revealed,
  twice,
}: {
  graded: readonly GradedCommit[];
  own: boolean;
  revealed: boolean;
  twice: boolean;
}) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const said = (g: GradedCommit): string =>
    inOneLine(answerFor(t, numbers, g.question, g.subject, g.commit.entry.answer));
  const answers = own ? [] : barsOf(graded, (g) => said(g));
  const slips = revealed
    ? barsOf(graded, (g) =>
        g.score === 1
          ? t('reveal.right')
          : g.slip
            ? t(`misconceptions.${g.slip}`)
            : t('room.otherwise'),
      )
    : [];
  return (
    <div className="room-board-spread">
      {twice && (
        <p className="room-board-legend">
          <span data-vote={1}>{t('room.firstVote')}</span>{' '}
          <span data-vote={2}>{t('room.secondVote')}</span>
        </p>
      )}
      {answers.length > 0 && (
        <Bars title={t('room.byAnswer')} bars={answers} revealed={revealed} twice={twice} />
      )}
      {slips.length > 0 && (
        <Bars title={t('room.byThought')} bars={slips} revealed={revealed} twice={twice} />
      )}
    </div>
  );
}

interface BarsProps {
  title: string;
  bars: readonly Bar[];
  revealed: boolean;
  twice: boolean;
}

function Bars({ title, bars, revealed, twice }: BarsProps) {
  const { t } = useTranslation();
  const most = Math.max(1, ...bars.flatMap((b) => b.counts));
  return (
    <table className="room-board-bars">
      <caption>{title}</caption>
      <thead className="visually-hidden">
        <tr>
          <th scope="col">{t('room.answer')}</th>
          <th scope="col">{t('room.votes')}</th>
        </tr>
      </thead>
      <tbody>
        {bars.map((bar) => (
          <tr key={bar.text} data-right={revealed && bar.right}>
            <th scope="row">{revealed && bar.right ? `✓ ${bar.text}` : bar.text}</th>
            <td>
              {(twice ? bar.counts : bar.counts.slice(0, 1)).map((count, k) => (
                <span key={k} className="room-board-bar" data-vote={k + 1}>
                  <i style={{ width: `${(100 * count) / most}%` }} />
                  <b>{formatNumber(count, 0)}</b>
                </span>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function MovedLine({ room, graded }: { room: Room; graded: readonly GradedCommit[] }) {
  const { t } = useTranslation();
  const question = room.turn?.question ?? '';
  const isRight = useMemo(() => {
    // A room that is told anew has other objects of the same votes.
    const named = ({ student, vote }: GradedCommit['commit']) => `${student} ${vote}`;
    const right = new Set(graded.filter((g) => g.score === 1).map((g) => named(g.commit)));
    return (commit: GradedCommit['commit']) => right.has(named(commit));
  }, [graded]);
  const { toRight, toWrong, stayedRight, stayedWrong } = moved(room, question, isRight);
  if (toRight + toWrong + stayedRight + stayedWrong === 0) return null;
  return (
    <p className="room-board-moved">
      {t('room.moved', { toRight, toWrong, stayedRight, stayedWrong })}
    </p>
  );
}
