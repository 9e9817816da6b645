import { t } from '@lingui/core/macro';
import { Link, useParams } from 'react-router';
import { inflatedLimbs } from '#core/session';
import { failureWords } from '../data/api';
import { useSession } from '../data/live-session';
import { Reading } from '../parts/base/Reading';
import { FieldError } from '../parts/fields/Field';
import { RecordView } from '../views/person/record/RecordView';
import { LiveBench } from '../views/visit/run/LiveBench';

/** A session: the live bench until it is finished and every cuff is down, then its record. */
export function SessionSheet() {
  const { sessionId = '' } = useParams();
  const { session, error } = useSession(sessionId);
  if (!session) {
    return (
      <div className="p-6">
        {error ? (
          <FieldError>{failureWords(error)}</FieldError>
        ) : (
          <Reading>{t`Reading the session…`}</Reading>
        )}
      </div>
    );
  }
  const over = session.state.finishedAtMs !== null && inflatedLimbs(session.state).length === 0;
  return (
    <div className="px-6 py-4">
      <p className="text-[15px] text-quiet print:hidden">
        <Link to={`/people/${session.view.clientId}/run`} className="underline underline-offset-4">
          {session.view.clientName}
        </Link>
      </p>
      {over ? <RecordView session={session} /> : <LiveBench session={session} />}
    </div>
  );
}
