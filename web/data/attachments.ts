import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { v4 as newId } from 'uuid';
import { type AttachedTo, type Attachment, MOST_ATTACHED_BYTES } from '#contract/attachments';
import { MessageError, msg } from '#core/message';
import { api, read, whoAsks } from './api';
import { KEYS } from './keys';

/** Attachments of a person, the newest first. */
export const useAttachments = (clientId: string) =>
  useQuery({
    queryKey: KEYS.attachments(clientId),
    queryFn: () => read<Attachment[]>(api.clients[':id'].attachments.$get({ param: { id: clientId } })),
  });

/** Where the content of an attachment is. */
export const attachmentAddress = (clientId: string, id: string): string =>
  `/api/clients/${clientId}/attachments/${id}`;

const LONGEST_NAME = 120;
const MB = 1024 * 1024;

class FileTooLarge extends MessageError {
  readonly code = 'file-too-large';
}

/** Attaches a file to a person, or to an entry of their record. */
export function useAttach(clientId: string, about: AttachedTo, aboutId: string | undefined) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (file: File) => {
      if (file.size > MOST_ATTACHED_BYTES)
        throw new FileTooLarge(
          msg('{name} has {megabytes} MB: at most {most} MB. Photograph it smaller, or save it smaller.', {
            name: file.name,
            megabytes: Math.ceil(file.size / MB),
            most: MOST_ATTACHED_BYTES / MB,
          }),
        );
      const asked = new URLSearchParams({
        id: newId(),
        name: file.name.slice(-LONGEST_NAME),
        about,
        ...(aboutId === undefined ? {} : { aboutId }),
      });
      // The file goes as it is: the typed client speaks JSON.
      return read<Attachment[]>(
        fetch(`/api/clients/${clientId}/attachments?${asked}`, {
          method: 'POST',
          headers: whoAsks(),
          body: file,
        }),
      );
    },
    onSuccess: (attachments) => {
      queries.setQueryData(KEYS.attachments(clientId), attachments);
      return queries.invalidateQueries({ queryKey: KEYS.entries(clientId) });
    },
  });
}
