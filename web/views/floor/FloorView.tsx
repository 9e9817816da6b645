import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate } from 'react-router';
import { attentionOf, compareAttention } from '#core/session/attention';
import { useOpenSessions } from '../../data/live-session';
import { useNow } from '../../parts/use-now';
import { FloorLane } from './FloorLane';

const MOST_LANES = 8;
const TICK_MS = 1_000;
/** Lanes change places only when somebody needs attention more, not with every second that passes. */
const STEADY_MS = 15_000;

/** Everybody who trains now, one lane each, who needs attention first; a figure key goes to a lane. */
export function FloorView() {
  const sessions = useOpenSessions();
  const nowMs = useNow(TICK_MS);
  const navigate = useNavigate();
  const lanes = sessions
    .map((session) => {
      const attention = attentionOf(session.view.plan, session.state, nowMs);
      return { session, attention: { ...attention, inMs: Math.floor(attention.inMs / STEADY_MS) } };
    })
    .sort(
      (a, b) =>
        compareAttention(a.attention, b.attention) || a.session.view.openedAtMs - b.session.view.openedAtMs,
    )
    .slice(0, MOST_LANES);
  useHotkeys('1,2,3,4,5,6,7,8', (_, { keys }) => {
    const lane = lanes[Number(keys?.[0]) - 1];
    if (lane) navigate(`/sessions/${lane.session.view.id}`);
  });
  return (
    <div className="p-4">
      <h1 className="text-3xl font-semibold">Floor</h1>
      {lanes.length === 0 ? (
        <p className="mt-2 text-quiet">
          Nobody trains now. Open a session from a person’s sheet, and it has a lane here.{' '}
          <Link to="/" className="underline underline-offset-4">
            Who can train now
          </Link>
        </p>
      ) : (
        <ol className="mt-2 border-t border-ink/40">
          {lanes.map(({ session, attention }, place) => (
            <FloorLane
              key={session.view.id}
              number={place + 1}
              session={session}
              need={attention.need}
              nowMs={nowMs}
            />
          ))}
        </ol>
      )}
    </div>
  );
}
