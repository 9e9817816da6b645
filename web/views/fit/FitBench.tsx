import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { NewFit } from '#contract/measurements';
import { newest } from '#core/chain/facts';
import { limbInHand } from '#core/chain/links';
import { checkCuff, checkGirth, rankCuffs } from '#core/cuff/fit';
import { LIMB_LABELS, LIMBS, type Limb, limbKind } from '#core/quantity/limb';
import { api, failureWords, fieldProblem, read } from '../../data/api';
import { usePractice, useRecordWrite } from '../../data/queries';
import { BenchHeading } from '../../parts/Bench';
import { Button } from '../../parts/Button';
import { Field, FieldError } from '../../parts/Field';
import { LimbCross } from '../../parts/LimbCross';

const WHERE = {
  arm: 'Just below the armpit, arm hanging relaxed. Never over the elbow or the forearm.',
  leg: 'Just below the greater trochanter, thigh relaxed. Never over the knee or the calf.',
} as const;

/** A limb's girth and the cuff that fits it. */
export function FitBench({ client }: { client: ClientRecord }) {
  const navigate = useNavigate();
  const { data: practice } = usePractice();
  const [limb, setLimb] = useState<Limb>(limbInHand(client.facts) ?? 'left-thigh');
  const [girth, setGirth] = useState('');
  const [picked, setPicked] = useState<string | null>(null);
  const write = useRecordWrite((json: NewFit) =>
    read(api.clients[':id'].fits.$post({ param: { id: client.id }, json })),
  );
  const cuffs = practice?.cuffs ?? [];
  const girthCm = Number(girth.replace(',', '.'));
  const typed = girth.trim() !== '';
  const wrong = typed ? checkGirth(limb, girthCm)[0] : undefined;
  const wrongWords = Number.isNaN(girthCm)
    ? 'Enter the girth as a number of centimetres.'
    : wrong && `${wrong.message} ${wrong.remedy}`;
  const ranked = typed && !wrongWords ? rankCuffs(limb, girthCm, cuffs) : [];
  const cuffId = picked ?? ranked.find(({ fits }) => fits)?.cuff.id;
  const cuff = cuffs.find(({ id }) => id === cuffId);
  const misfit = cuff && ranked.length > 0 ? checkCuff(limb, girthCm, cuff, cuffs)[0] : undefined;
  const noneFits = ranked.length > 0 && !ranked.some(({ fits }) => fits);

  const save = async (event: React.FormEvent) => {
    event.preventDefault();
    if (!cuffId || wrongWords || misfit) return;
    const record = await write.mutateAsync({ limb, girthCm, cuffId }).catch(() => null);
    if (record) navigate(`/people/${client.id}/measure`);
  };

  return (
    <form onSubmit={save} noValidate className="grid gap-8 lg:grid-cols-[20rem_1fr]">
      <div className="space-y-5">
        <BenchHeading title="Fit">Girth where the cuff goes, then the cuff.</BenchHeading>
        <LimbCross
          value={limb}
          known={knownGirths(client)}
          onChange={(next) => {
            setLimb(next);
            setPicked(null);
          }}
        />
        <Field
          label={`Girth of the ${LIMB_LABELS[limb].toLowerCase()}`}
          unit="cm"
          inputMode="decimal"
          autoFocus
          value={girth}
          onChange={(event) => {
            setGirth(event.target.value);
            setPicked(null);
          }}
          error={wrongWords || fieldProblem(write.error, 'girthCm')}
          hint={WHERE[limbKind(limb)]}
        />
      </div>
      <div>
        <h3 className="font-semibold">Cuffs for this limb</h3>
        {ranked.length === 0 && (
          <p className="mt-2 text-quiet">Enter the girth and the cuffs are ranked here.</p>
        )}
        <ul className="mt-2 border-t border-rule" aria-label="Cuffs">
          {ranked.map(({ cuff: { id, label, widthCm }, fits, reason, widthToGirth }) => (
            <li key={id} className="border-b border-rule">
              <label
                className={`grid grid-cols-[1.5rem_1fr_auto] items-baseline gap-2 px-2 py-2 has-checked:bg-tint ${fits ? '' : 'text-quiet'}`}
              >
                <input
                  type="radio"
                  name="cuff"
                  className="accent-plum"
                  checked={cuffId === id}
                  onChange={() => setPicked(id)}
                />
                <span>
                  <strong className={fits ? '' : 'font-normal'}>{label}</strong>, {widthCm} cm wide
                  <span className="block text-[14px]">{reason}</span>
                </span>
                <span className="figures text-[14px]" title="Bladder width ÷ girth (FIT-3)">
                  {widthToGirth.toFixed(2)} width ÷ girth
                </span>
              </label>
            </li>
          ))}
        </ul>
        {noneFits && !misfit && (
          <FieldError>
            No cuff in the kit fits: one is needed whose range includes {girthCm} cm (FIT-2).
          </FieldError>
        )}
        {misfit && (
          <FieldError>
            {misfit.message} {misfit.remedy}
          </FieldError>
        )}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
        {cuffId && !misfit && !wrongWords && (
          <p className="mt-4 max-w-prose text-[15px]">
            Snug before inflating: one finger under, stem facing you, strap secured. A pinch means it sits too
            low: let it down, move it up (FIT-4).
          </p>
        )}
        <Button
          type="submit"
          kind="main"
          keyHint="Enter"
          className="mt-4"
          disabled={!cuffId || Boolean(wrongWords) || Boolean(misfit) || write.isPending}
        >
          Record girth and cuff
        </Button>
      </div>
    </form>
  );
}

function knownGirths(client: ClientRecord): Partial<Record<Limb, string>> {
  return Object.fromEntries(
    LIMBS.flatMap((limb) => {
      const fit = newest(client.facts.fits.filter((fact) => fact.limb === limb));
      return fit ? [[limb, `${fit.girthCm} cm, ${fit.cuffLabel}`]] : [];
    }),
  );
}
