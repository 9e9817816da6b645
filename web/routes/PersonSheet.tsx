import type { ComponentType } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate, useParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { LINK_IDS, type LinkId } from '#core/record/link';
import { failureWords } from '../data/api';
import { useClient } from '../data/queries';
import { FieldError } from '../parts/Field';
import { FitBench } from '../views/fit/FitBench';
import { LoadBench } from '../views/load/LoadBench';
import { MeasureBench } from '../views/measure/MeasureBench';
import { Chain } from '../views/person/Chain';
import { RunBench } from '../views/run/RunBench';
import { ScreenBench } from '../views/screen/ScreenBench';
import { PrescribeBench } from './PrescribeBench';

const BENCHES: Record<LinkId, ComponentType<{ client: ClientRecord }>> = {
  screen: ScreenBench,
  fit: FitBench,
  measure: MeasureBench,
  load: LoadBench,
  prescribe: PrescribeBench,
  run: RunBench,
};
const GO_KEYS = { s: 'screen', f: 'fit', m: 'measure', l: 'load', p: 'prescribe', r: 'run' } as const;

/** One person: the chain, and beneath it the bench of the chosen link. */
export function PersonSheet() {
  const { clientId = '', bench } = useParams();
  const { data: client, error } = useClient(clientId);
  const navigate = useNavigate();
  useHotkeys('g>s,g>f,g>m,g>l,g>p,g>r', (_, { keys }) => {
    const letter = keys?.at(-1) as keyof typeof GO_KEYS | undefined;
    if (letter) navigate(`/people/${clientId}/${GO_KEYS[letter]}`);
  });
  if (error)
    return (
      <div className="p-6">
        <FieldError>{failureWords(error)}</FieldError>
      </div>
    );
  if (!client) return <p className="p-6 text-quiet">Reading the record…</p>;
  const chosen = LINK_IDS.find((id) => id === bench) ?? nextLink(client);
  const Bench = BENCHES[chosen];
  return (
    <>
      <div className="px-6 pt-4">
        <h1 className="text-3xl font-semibold">{client.name}</h1>
        {client.story && <p className="text-quiet">{client.story}</p>}
      </div>
      <Chain client={client} chosen={chosen} />
      <div className="p-6">
        <Bench key={`${client.id} ${chosen}`} client={client} />
      </div>
    </>
  );
}

const nextLink = (client: ClientRecord): LinkId =>
  client.chain.find(({ state }) => state !== 'good')?.id ?? 'run';
