import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { msg } from '#core/message';
import {
  type BundleRead,
  bloodPressureWords,
  NotABundle,
  type Proposal,
  readBundle,
  SCREEN_ITEMS,
} from '#core/screening';
import { translate } from '../../../language/translate';
import { FieldError } from '../../../parts/fields/Field';
import { FileLink } from '../../../parts/fields/FileLink';
import { day, plain } from '../../../words/format';

const MOST_MB = 20;

/** What another clinical record (FHIR) proposes: nothing of it counts before it is taken over, line by line. */
export function FromRecord({
  name,
  nowMs,
  takeOver,
}: {
  name: string;
  nowMs: number;
  takeOver: (proposal: Proposal) => void;
}) {
  const [read, setRead] = useState<BundleRead | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [taken, setTaken] = useState<ReadonlySet<Proposal>>(new Set());
  const open = async (file: File) => {
    setRead(null);
    setRefused(null);
    try {
      if (file.size > MOST_MB * 1024 * 1024)
        throw new NotABundle(msg('At most {megabytes} MB are read here.', { megabytes: MOST_MB }));
      setRead(readBundle(JSON.parse(await file.text()), nowMs));
    } catch (error) {
      setRefused(
        error instanceof NotABundle
          ? translate(error.says)
          : t`This is not JSON. Ask for the record as a Bundle of FHIR R4 in JSON.`,
      );
    }
  };
  return (
    <section aria-label={t`From another record`}>
      <FileLink label={t`Clinical record to read`} accept=".json,.fhir" onFile={(file) => void open(file)}>
        {t`From another clinical record (FHIR)`}
      </FileLink>
      {refused && <FieldError>{refused}</FieldError>}
      {read && (
        <>
          <p>
            <Trans>
              Record of <strong>{translate(read.person)}</strong>
              {read.bornOn && t`, born ${read.bornOn}`}.{' '}
              {translate(read.person).toLowerCase() !== name.toLowerCase() && (
                <span className="text-vermilion">{t`Here it is ${name}: make sure that it is the same person.`}</span>
              )}
            </Trans>
          </p>
          {read.proposals.length === 0 && (
            <p className="text-quiet">{t`It says nothing that screening asks.`}</p>
          )}
          <ul className="border-t border-ink/40">
            {read.proposals.map((proposal) => (
              <li
                key={JSON.stringify(proposal)}
                className="flex items-center gap-3 border-b border-rule py-1 text-[15px]"
              >
                <p className="flex-1">{wordsOf(proposal)}</p>
                <button
                  type="button"
                  disabled={taken.has(proposal)}
                  className="min-h-11 underline underline-offset-4 disabled:no-underline"
                  onClick={() => {
                    takeOver(proposal);
                    setTaken(new Set([...taken, proposal]));
                  }}
                >
                  {taken.has(proposal) ? t`taken over` : t`Take over`}
                  <span className="sr-only"> {wordsOf(proposal)}</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** What the other record says, without where it goes. */
function saidOf(proposal: Proposal): string {
  const on = proposal.atMs === null ? '' : `, ${day(proposal.atMs)}`;
  switch (proposal.kind) {
    case 'item':
      return `${proposal.words}${on}`;
    case 'procedure':
      return t`Surgery: ${proposal.words}${on}`;
    case 'blood-pressure':
      return t`Blood pressure ${bloodPressureWords(proposal)}${on}`;
    case 'body-mass':
      return `${plain(proposal.massKg)} kg${on}`;
    case 'note':
      return `${translate(proposal.words)}${on}`;
  }
}

const goesIntoNote = (proposal: Proposal): boolean =>
  proposal.kind !== 'item' && !(proposal.kind === 'procedure' && proposal.limb !== null);

function wordsOf(proposal: Proposal): string {
  const said = saidOf(proposal);
  switch (proposal.kind) {
    case 'item':
      return t`${said}: yes to “${translate(SCREEN_ITEMS[proposal.itemId].label)}”`;
    case 'procedure':
      return proposal.limb === null ? t`${said}, the limb is not said: into the note` : said;
    case 'blood-pressure':
      return t`${said}: into the note; two readings of today count`;
    default:
      return t`${said}: into the note`;
  }
}

/** A proposal as text of a note. */
export const noteOf = (proposal: Proposal): string | null =>
  goesIntoNote(proposal) ? saidOf(proposal) : null;
