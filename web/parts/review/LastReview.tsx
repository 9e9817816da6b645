import { useAct } from '../../act/act';
import { type LiveSession, useSession } from '../../data/live-session';
import { NextTime } from './NextTime';

/** The review of the last session of a plan, answered before the next one opens (rule REV-10). */
export function LastReview({ sessionId }: { sessionId: string }) {
  const { session } = useSession(sessionId);
  return session ? <AnswerReview session={session} /> : null;
}

function AnswerReview({ session }: { session: LiveSession }) {
  return <NextTime session={session} act={useAct(session.view)} />;
}
