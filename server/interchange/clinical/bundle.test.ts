import JSONSchemaValidator from '@asymmetrik/fhir-json-schema-validator';
import { beforeAll, describe, expect, it } from 'vitest';
import { LOINC_CODES } from '#core/screening';
import { startAfter } from '../../api.fixture';
import { demoDatabase } from '../../demo.fixture';
import { ready, train } from '../../forbidden.fixture';
import { archiveRows } from '../archive/write-archive';
import { bundleOf, type Resource } from './bundle';

let file: string;
let clients: { id: string; name: string }[];

beforeAll(async () => {
  const demo = await demoDatabase('file');
  file = demo.file;
  clients = await demo.orm.em.fork().execute('select id, name from client');
});

type Entry = { fullUrl: string; resource: Resource };
const bundles = () =>
  clients.map(({ id, name }) => bundleOf(archiveRows(file, { kind: 'client', clientId: id, name })));
const entriesOf = (bundle: Resource) => bundle.entry as Entry[];
/** Every value under a name, however deep. */
function under(value: unknown, name: string): unknown[] {
  if (Array.isArray(value)) return value.flatMap((one) => under(one, name));
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, one]) => [...(key === name ? [one] : []), ...under(one, name)]);
}

describe('a person as a clinical bundle', () => {
  it('is valid by the official schema, resource by resource, for all people of the demonstration', () => {
    const validator = new JSONSchemaValidator();
    const types = new Set<string>();
    for (const bundle of bundles()) {
      expect(validator.validate({ ...bundle, entry: [] })).toEqual([]);
      for (const { resource } of entriesOf(bundle)) {
        types.add(resource.resourceType);
        expect([resource.resourceType, validator.validate(resource)]).toEqual([resource.resourceType, []]);
      }
    }
    expect([...types].sort()).toEqual([
      'AdverseEvent',
      'CarePlan',
      'Consent',
      'Device',
      'Flag',
      'Observation',
      'Patient',
      'Practitioner',
      'Procedure',
      'QuestionnaireResponse',
      'ServiceRequest',
    ]);
  }, 120_000);

  it('refers to nothing outside it, and has each thing once', () => {
    for (const bundle of bundles()) {
      const urls = entriesOf(bundle).map(({ fullUrl }) => fullUrl);
      expect(new Set(urls).size).toBe(urls.length);
      for (const reference of under(bundle, 'reference')) expect(urls).toContain(reference);
    }
  });

  it('has no code but the few that are certain', () => {
    const known = [...Object.values(LOINC_CODES).map(({ code }) => code as string), 'treatment'];
    const codes = bundles().flatMap((bundle) => under(bundle, 'coding').flat() as { code: string }[]);
    expect(codes.length).toBeGreaterThan(0);
    expect(codes.filter(({ code }) => !known.includes(code))).toEqual([]);
  });

  it('says pressures with how they were come at, and sessions with their dose', () => {
    const all = bundles()
      .flatMap(entriesOf)
      .map(({ resource }) => resource);
    const pressure = all.find(({ code }) => (code as { text?: string })?.text === 'Limb occlusion pressure');
    expect(pressure).toMatchObject({
      valueQuantity: { unit: 'mmHg', code: 'mm[Hg]', system: 'http://unitsofmeasure.org' },
      component: expect.arrayContaining([
        expect.objectContaining({ code: { text: 'Position' } }),
        expect.objectContaining({ code: { text: 'Expanded uncertainty' } }),
        expect.objectContaining({ code: { text: 'Cuff width' } }),
      ]),
    });
    const session = all.find(({ resourceType, extension }) => resourceType === 'Procedure' && extension);
    expect(session?.extension).toContainEqual({
      url: 'urn:nervato:dose:occluded',
      valueQuantity: expect.objectContaining({ unit: 's', code: 's' }),
    });
  });

  it('comes by the API for a clinician, a name with a script in it as a name', async () => {
    const { api, made: person } = await startAfter(ready);
    await train(api, person, [], 3_600_000);
    await api.sql(`update client set name = '<script>alert(1)</script>'`);
    const answer = await api.raw('GET', `/archive/of/${person.client.id}/fhir`);
    expect(answer.headers.get('content-type')).toContain('application/fhir+json');
    const bundle = (await answer.json()) as Resource;
    expect(new JSONSchemaValidator().validate({ ...bundle, entry: [] })).toEqual([]);
    expect(entriesOf(bundle).map(({ resource }) => resource)).toContainEqual(
      expect.objectContaining({ resourceType: 'Patient', name: [{ text: '<script>alert(1)</script>' }] }),
    );
    expect((await api.raw('GET', `/archive/of/${person.client.id}/fhir`, undefined, 'colin')).status).toBe(
      403,
    );
    expect(() => bundleOf([])).toThrow(RangeError);
  });
});
