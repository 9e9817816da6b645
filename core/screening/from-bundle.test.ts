import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { MS_PER_DAY } from '../quantity/units';
import { NotABundle, readBundle } from './from-bundle';

const NOW_MS = Date.UTC(2026, 4, 4, 12);
const PATIENT = {
  resourceType: 'Patient',
  name: [{ given: ['Ada'], family: 'Wick' }],
  birthDate: '1980-02-01',
};
const bundle = (...resources: object[]) => ({
  resourceType: 'Bundle',
  type: 'collection',
  entry: [PATIENT, ...resources].map((resource) => ({ resource })),
});
const proposals = (...resources: object[]) => readBundle(bundle(...resources), NOW_MS).proposals;
const daysAgo = (days: number) => new Date(NOW_MS - days * MS_PER_DAY).toISOString();
const condition = (text: string, more: object = {}) => ({
  resourceType: 'Condition',
  code: { text },
  ...more,
});
const state = (code: string) => ({ clinicalStatus: { coding: [{ code }] } });

describe('what a clinical record proposes for screening', () => {
  it('says whose it is', () => {
    expect(englishOf(readBundle(bundle(), NOW_MS))).toEqual({
      person: 'Ada Wick',
      bornOn: '1980-02-01',
      proposals: [],
    });
    const named = { ...PATIENT, name: [{ text: '<b>Ada</b>' }] };
    expect(
      englishOf(readBundle({ resourceType: 'Bundle', entry: [{ resource: named }] }, NOW_MS).person),
    ).toBe('<b>Ada</b>');
  });

  it.each([
    ['Deep vein thrombosis of left leg', 'thrombosis'],
    ['DVT', 'thrombosis'],
    ['Pulmonary embolism', 'thrombosis'],
    ['Family history of thrombosis', 'family-clots'],
    ['Factor V Leiden', 'clotting-disorder'],
    ['Superficial thrombophlebitis', 'varicose-veins'],
    ['Essential hypertension', 'hypertension-treated'],
    ['Type 2 diabetes mellitus', 'diabetes'],
    ['Long-term use of anticoagulants', 'anticoagulants'],
    ['Coronary artery disease', 'heart-disease'],
    ['Tobacco use', 'smoker'],
  ])('%s is asked about by %s', (text, itemId) => {
    expect(englishOf(proposals(condition(text)))).toEqual([
      { kind: 'item', itemId, words: text, atMs: null },
    ]);
  });

  it('keeps as a note what no item asks about, or what is over, but asks of the past what the past matters to', () => {
    expect(englishOf(proposals(condition('Hay fever')))).toEqual([
      { kind: 'note', words: 'Hay fever', atMs: null },
    ]);
    expect(englishOf(proposals(condition('Cellulitis', state('resolved'))))).toMatchObject([
      { kind: 'note', words: 'Cellulitis, over' },
    ]);
    expect(englishOf(proposals(condition('DVT', state('resolved'))))).toMatchObject([
      { kind: 'item', itemId: 'thrombosis' },
    ]);
    expect(englishOf(proposals(condition('Diabetes', { onsetDateTime: '2020-01-01' })))).toMatchObject([
      { atMs: Date.UTC(2020, 0, 1) },
    ]);
    const coded = {
      resourceType: 'Condition',
      code: { coding: [{ system: 'x', code: '1', display: 'Angina' }] },
    };
    expect(englishOf(proposals(coded))).toMatchObject([{ itemId: 'heart-disease', words: 'Angina' }]);
  });

  it('leaves out what was taken back, and says everything once', () => {
    const refuted = { verificationStatus: { coding: [{ code: 'refuted' }] } };
    expect(proposals(condition('DVT', refuted))).toEqual([]);
    expect(
      proposals({
        resourceType: 'Procedure',
        status: 'not-done',
        code: { text: 'Meniscus' },
        performedDateTime: daysAgo(3),
      }),
    ).toEqual([]);
    expect(proposals(condition('Diabetes'), condition('Diabetes'))).toHaveLength(1);
  });

  it('takes operations of the weeks that count, on the limb that is named', () => {
    const operation = (text: string, days: number, site?: string) =>
      proposals({
        resourceType: 'Procedure',
        status: 'completed',
        code: { text },
        performedDateTime: daysAgo(days),
        ...(site ? { bodySite: [{ text: site }] } : {}),
      });
    expect(englishOf(operation('Repair of meniscus', 10, 'Left knee'))).toMatchObject([
      { kind: 'procedure', limb: 'left-thigh', words: 'Repair of meniscus' },
    ]);
    expect(englishOf(operation('Right rotator cuff repair of shoulder', 10))).toMatchObject([
      { limb: 'right-arm' },
    ]);
    expect(englishOf(operation('Left and right knee', 10))).toMatchObject([
      { kind: 'procedure', limb: null },
    ]);
    expect(englishOf(operation('Appendectomy', 10))).toMatchObject([{ kind: 'procedure', limb: null }]);
    expect(englishOf(operation('Repair of meniscus', 400))).toMatchObject([{ kind: 'note' }]);
    expect(operation('Planned arthroscopy', -10)).toEqual([]);
  });

  it('reads blood pressure and body mass by their codes, and no others', () => {
    const loinc = (code: string) => ({ coding: [{ system: 'http://loinc.org', code }] });
    const at = { resourceType: 'Observation', status: 'final', effectiveDateTime: daysAgo(2) };
    const pressure = {
      ...at,
      // Next to a local code.
      code: { coding: [{ system: 'x', code: 'rr' }, ...loinc('85354-9').coding] },
      component: [
        { code: loinc('8480-6'), valueQuantity: { value: 132 } },
        { code: loinc('8462-4'), valueQuantity: { value: 84 } },
      ],
    };
    expect(englishOf(proposals(pressure))).toMatchObject([
      { kind: 'blood-pressure', systolicMmHg: 132, diastolicMmHg: 84 },
    ]);
    expect(
      englishOf(proposals({ ...at, code: loinc('29463-7'), valueQuantity: { value: 180, code: '[lb_av]' } })),
    ).toMatchObject([{ kind: 'body-mass', massKg: 81.6 }]);
    expect(proposals({ ...at, code: loinc('29463-7'), valueQuantity: { value: 13, unit: 'stone' } })).toEqual(
      [],
    );
    expect(proposals({ ...at, code: loinc('718-7'), valueQuantity: { value: 13 } })).toEqual([]);
    expect(proposals({ ...pressure, effectiveDateTime: 'soon' })).toEqual([]);
    for (const half of pressure.component) expect(proposals({ ...pressure, component: [half] })).toEqual([]);
  });

  it('says what is no record of one person', () => {
    const refused = (json: unknown) => () => readBundle(json, NOW_MS);
    expect(refused({ resourceType: 'Patient' })).toThrow(/no FHIR bundle/);
    expect(refused('text')).toThrow(NotABundle);
    expect(refused({ resourceType: 'Bundle' })).toThrow(/No person is in this bundle/);
    expect(refused(bundle(PATIENT))).toThrow(/Several people are/);
    expect(refused({ resourceType: 'Bundle', entry: Array(20_001).fill({ resource: {} }) })).toThrow(
      /larger/,
    );
  });

  it('is read or refused, whatever is in it', () => {
    const anything = fc.letrec((tie) => ({
      value: fc.oneof(
        { depthSize: 'small' },
        fc.string(),
        fc.double(),
        fc.constant(null),
        fc.array(tie('value'), { maxLength: 3 }),
        fc.dictionary(
          fc.constantFrom('code', 'text', 'coding', 'component', 'valueQuantity', 'name', 'bodySite'),
          tie('value'),
        ),
      ),
    })).value;
    const resource = fc.tuple(
      fc.constantFrom('Condition', 'Observation', 'Procedure'),
      fc.dictionary(
        fc.constantFrom('code', 'status', 'component', 'bodySite', 'performedPeriod', 'effectiveDateTime'),
        anything,
      ),
    );
    fc.assert(
      fc.property(fc.array(resource, { maxLength: 5 }), (resources) => {
        const read = readBundle(
          bundle(...resources.map(([resourceType, more]) => ({ ...more, resourceType }))),
          NOW_MS,
        );
        expect(englishOf(read.person)).toBe('Ada Wick');
      }),
    );
  });
});
