import { t } from '@lingui/core/macro';
import { failureWords } from '../../data/api';
import { Button } from '../base/Button';
import { FieldError } from '../fields/Field';

type Props = {
  /** What sending it does, as the button says it. */
  send: string;
  kind?: 'main' | 'stop';
  isSending: boolean;
  /** Not there where the form cannot be sent as it is. */
  maySend?: boolean;
  /** Why the server refused it; null before, or where its fields say so. */
  error?: unknown;
  /** Leaves everything as it was; not there where nothing lies behind the form. */
  leave?: (() => void) | undefined;
  className?: string;
};

/** The end of a form: what went wrong, the button that sends it, and the one that cancels it. */
export function FormFooter({
  send,
  kind = 'main',
  isSending,
  maySend = true,
  error = null,
  leave,
  className = '',
}: Props) {
  return (
    <div className={`space-y-3 ${className}`}>
      {error !== null && <FieldError>{failureWords(error)}</FieldError>}
      <div className="flex flex-wrap gap-3">
        <Button type="submit" kind={kind} disabled={isSending || !maySend}>
          {send}
        </Button>
        {leave && (
          <Button leaves onClick={leave}>
            {t`Cancel`}
          </Button>
        )}
      </div>
    </div>
  );
}
