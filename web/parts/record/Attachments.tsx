import { t } from '@lingui/core/macro';
import { ATTACHED_TYPES, type AttachedTo } from '#contract/attachments';
import { failureWords } from '../../data/api';
import { attachmentAddress, useAttach, useAttachments } from '../../data/attachments';
import { dayAndTime, plain } from '../../words/format';
import { FieldError } from '../fields/Field';
import { FileLink } from '../fields/FileLink';

const KB = 1024;
const sizeWords = (bytes: number): string =>
  bytes < KB * KB ? t`${plain(Math.ceil(bytes / KB))} kB` : t`${plain(bytes / KB / KB)} MB`;

/**
 * Attachments that belong to a person or to an entry of their record, and attaching another: a letter, a signed consent, a photographed sheet.
 * @param aboutId the entry; left out, attachments of every entry of the kind are shown, and a new one belongs to the newest
 */
export function Attachments({
  clientId,
  about,
  aboutId,
  attach,
}: {
  clientId: string;
  about: AttachedTo;
  aboutId?: string;
  /** What is attached, as it is asked for. */
  attach: string;
}) {
  const { data = [] } = useAttachments(clientId);
  const sent = useAttach(clientId, about, aboutId);
  const attachments = data.filter(
    (attachment) => attachment.about === about && (aboutId === undefined || attachment.aboutId === aboutId),
  );
  return (
    <div className="print:hidden">
      <ul>
        {attachments.map(({ id, name, mediaType, bytes, atMs, by, isRetracted }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1 text-[15px]">
            {mediaType !== 'application/pdf' && !isRetracted && (
              <img
                src={attachmentAddress(clientId, id)}
                alt=""
                loading="lazy"
                className="h-12 w-12 object-cover"
              />
            )}
            {isRetracted ? (
              <s className="text-quiet">{name}</s>
            ) : (
              <a
                href={attachmentAddress(clientId, id)}
                target="_blank"
                rel="noreferrer"
                className="inline-flex min-h-11 items-center underline underline-offset-4"
              >
                {name}
              </a>
            )}
            <span className="text-[14px] text-quiet">
              {sizeWords(bytes)}, {dayAndTime(atMs)}, {by}
            </span>
          </li>
        ))}
      </ul>
      <FileLink label={attach} accept={ATTACHED_TYPES.join(',')} onFile={(file) => sent.mutate(file)}>
        {sent.isPending ? t`Sending the file…` : attach}
      </FileLink>
      {sent.error && <FieldError>{failureWords(sent.error)}</FieldError>}
    </div>
  );
}
