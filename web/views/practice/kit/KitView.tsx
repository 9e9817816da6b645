import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { CLINICIANS_KIT, type KitItem, type Template } from '#contract/practice';
import { GOALS } from '#core/plan';
import { type Library, libraryOf } from '#core/protocol';
import { api, failureWords, read } from '../../../data/api';
import { useMay, usePractice } from '../../../data/queries';
import { useOwnPlaces } from '../../../data/use-places';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Reading } from '../../../parts/base/Reading';
import { Why } from '../../../parts/base/Why';
import { WideTable } from '../../../parts/base/WideTable';
import { FieldError } from '../../../parts/fields/Field';
import { useRetire } from '../../../parts/forms/use-retire';
import { type KitToAdd, readKitAddress } from '../../../parts/plan/kit-address';
import { useUnits } from '../../../words/units';
import { KitForm } from './KitForm';
import { cellOf, headOf, isOfKind, KINDS, KIT_KINDS, type KitField, type KitKind } from './kit-fields';
import { Settings } from './Settings';

const TEMPLATES = { id: 'templates', title: t`Templates` };
const PRACTICE = { id: 'practice', title: t`How the practice works` };

/** What the practice owns, and the units and strictness it works with. */
export function KitView() {
  const { data: practice } = usePractice();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  if (!practice) return <Reading inFrame>{t`Reading the practice…`}</Reading>;
  const { add, back } = readKitAddress(search);
  return (
    <div className="p-6">
      {back && (
        <Link
          className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
          to={back}
        >
          {t`Back to where you were`}
        </Link>
      )}
      <h1 className="text-3xl font-semibold">{t`Kit and practice`}</h1>
      <p className="text-quiet">{t`Every pressure and load is rounded to this kit.`}</p>
      <nav aria-label={t`On this page`} className="mt-1 flex flex-wrap gap-x-6">
        {[...KIT_KINDS.map((kind) => ({ id: kind, title: KINDS[kind].title })), TEMPLATES, PRACTICE].map(
          ({ id, title }) => (
            <a
              key={id}
              href={`#${id}`}
              className="inline-flex min-h-9 items-center underline underline-offset-4"
            >
              {title}
            </a>
          ),
        )}
      </nav>
      {KIT_KINDS.map((kind) => (
        <KitSection
          key={kind}
          kind={kind}
          items={practice[KINDS[kind].list]}
          toAdd={add?.kind === kind ? add.item : undefined}
          added={() => back && navigate(back)}
        />
      ))}
      <Templates templates={practice.templates} library={libraryOf(practice.ownExercises)} />
      <section className="mt-7 scroll-mt-4" id={PRACTICE.id} aria-label={PRACTICE.title}>
        <h2 className="text-xl font-semibold">{PRACTICE.title}</h2>
        <Settings settings={practice.settings} />
      </section>
    </div>
  );
}

function KitSection({
  kind,
  items,
  toAdd,
  added,
}: {
  kind: KitKind;
  items: readonly KitItem['item'][];
  /** What is known of a piece that is missing: its form is open. */
  toAdd: KitToAdd['item'] | undefined;
  added: () => void;
}) {
  const [open, setOpen] = useState<string | null>(toAdd ? 'new' : null);
  const units = useUnits();
  const { title, add, list, fields } = KINDS[kind];
  const mayChange = useMay(CLINICIANS_KIT.includes(list) ? 'keep-limits' : 'keep-weights');
  const mine = items.filter((item) => isOfKind(kind, item));
  const { retire, error } = useRetire((id: string, isRetired) =>
    read(api.practice.kit.retire.$post({ json: { list, id, isRetired } })),
  );
  return (
    <section className="mt-7 scroll-mt-4" id={kind} aria-label={title}>
      <h2 className="text-xl font-semibold">{title}</h2>
      {mine.length > 0 && (
        <WideTable className="w-full max-w-6xl border-t border-ink/40 text-[15px]">
          <thead>
            <tr className="text-left text-[13px] text-quiet">
              {fields.map((field: KitField) => (
                <th key={field.key} className="py-1 pr-4 align-bottom font-normal">
                  {headOf(field, units)}
                </th>
              ))}
              <th className="max-lg:hidden">
                <span className="sr-only">{t`What can be done`}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {mine.map((item) => (
              <Piece
                key={item.id}
                kind={kind}
                item={item}
                isOpen={open === item.id}
                toggle={mayChange ? () => setOpen(open === item.id ? null : item.id) : null}
                retire={() => retire(item.id, t`${item.label} is no longer in use.`)}
              />
            ))}
          </tbody>
        </WideTable>
      )}
      {error && <FieldError>{failureWords(error)}</FieldError>}
      {!mayChange && (
        <p className="mt-1 text-[15px] text-quiet">
          {t`A clinician changes these.`} <Why rule="SCR-4" />
        </p>
      )}
      {mayChange && open === 'new' && (
        <KitForm
          kind={kind}
          known={toAdd}
          done={(isSaved) => {
            setOpen(null);
            if (isSaved && toAdd) added();
          }}
        />
      )}
      {mayChange && open !== 'new' && (
        <Button className="mt-2" onClick={() => setOpen('new')}>
          {add}
        </Button>
      )}
    </section>
  );
}

/** Sessions kept under a name; applied from Prescribe, taken away here. */
function Templates({ templates, library }: { templates: readonly Template[]; library: Library }) {
  const mayKeep = useMay('keep-templates');
  const { retire, error } = useRetire((id: string, isRetired) =>
    read(api.practice.templates.retire.$post({ json: { id, isRetired } })),
  );
  return (
    <section className="mt-7 scroll-mt-4" id={TEMPLATES.id} aria-label={TEMPLATES.title}>
      <h2 className="text-xl font-semibold">{TEMPLATES.title}</h2>
      {templates.length === 0 && (
        <p className="text-quiet">{t`None yet: keep one from a session in Prescribe.`}</p>
      )}
      <ul className="mt-1 max-w-5xl border-t border-ink/40">
        {templates.map(({ id, name, session }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1">
            <strong className="min-w-52">{name}</strong>
            <span className="flex-1 text-[15px]">
              {translate(GOALS[session.goal].label)}:{' '}
              {session.exercises
                .map(({ exerciseId }) => translate(library[exerciseId]?.label ?? exerciseId))
                .join(', ')}
            </span>
            {mayKeep && (
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => retire(id, t`${name} is no longer in use.`)}
              >
                <Trans>
                  Retire<span className="sr-only"> {name}</span>
                </Trans>
              </button>
            )}
          </li>
        ))}
      </ul>
      {error && <FieldError>{failureWords(error)}</FieldError>}
    </section>
  );
}

/** A piece of kit on its line, and the form that changes it beneath. */
function Piece({
  kind,
  item,
  isOpen,
  toggle,
  retire,
}: {
  kind: KitKind;
  item: KitItem['item'];
  isOpen: boolean;
  /** `null` where another person changes it. */
  toggle: (() => void) | null;
  retire: () => void;
}) {
  const units = useUnits();
  const ownPlaces = useOwnPlaces();
  const { fields } = KINDS[kind];
  const buttons = toggle && (
    <>
      <button type="button" className="min-h-11 pr-3 underline underline-offset-4" onClick={toggle}>
        <Trans>
          Change<span className="sr-only"> {item.label}</span>
        </Trans>
      </button>
      <button type="button" className="min-h-11 pr-3 underline underline-offset-4" onClick={retire}>
        <Trans>
          Retire<span className="sr-only"> {item.label}</span>
        </Trans>
      </button>
    </>
  );
  return (
    <>
      <tr className="border-t border-rule">
        {fields.map((field: KitField) => (
          <td
            key={field.key}
            className={`py-1 pr-4 ${field.key === 'label' ? 'min-w-40 font-semibold' : 'max-w-80'}`}
          >
            <span>
              {cellOf(field, (item as Record<string, unknown>)[field.key], { ...units, ownPlaces })}
            </span>
            {/* Where the table is wider than the screen, they would be out of sight. */}
            {field.key === 'label' && <span className="block lg:hidden">{buttons}</span>}
          </td>
        ))}
        <td className="text-right whitespace-nowrap max-lg:hidden">{buttons}</td>
      </tr>
      {isOpen && toggle && (
        <tr>
          <td colSpan={fields.length + 1}>
            <KitForm kind={kind} item={item} done={toggle} />
          </td>
        </tr>
      )}
    </>
  );
}
