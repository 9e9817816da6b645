import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { kindsIn, likelyKind } from './by-headings';
import { ambiguousDay, dateOrdersOf, readDay } from './day';
import { doubtsIn, missingIn } from './doubts';
import { unitIn } from './headings';
import { fromConstant, type Mapping } from './mapping';
import { decimalMarkOf, readFigure } from './number';
import { personOf } from './person-name';
import { type Known, readRow } from './read-row';
import { recognise } from './recognise';
import { TABLE_KINDS } from './tables';
import { LIMB_WORDS, plainWords, SIDE_WORDS, wordIn } from './words';

const KNOWN: Known = {
  exercise: new Map([['knee extension', 'knee-extension']]),
  measure: new Map([['calf girth', 'girth-calf']]),
  cuff: new Map([['thigh large', 'thigh-large']]),
};
const METRIC = { mass: 'kg', length: 'cm' } as const;
const BY = { units: METRIC, today: '2026-12-01' };
const USUAL = { dateOrder: 'day-month-year', units: METRIC } as const;
const columnsOf = ({ fields }: Pick<Mapping, 'fields'>) =>
  Object.fromEntries(Object.entries(fields).map(([id, { from, unit }]) => [id, { ...from, unit }]));

describe('figures as people write them', () => {
  it.each([
    ['54.5', 'point', 54.5],
    ['1,234.5', 'point', 1234.5],
    ["1'234.5", 'point', 1234.5],
    ['54,5', 'comma', 54.5],
    ['1.234,5', 'comma', 1234.5],
    ['1\u00a0234,5', 'comma', 1234.5],
    ['-3', 'point', -3],
    ['54,5', 'point', null],
    ['1,23,4', 'point', null],
    ['5e3', 'point', null],
    ['0x10', 'point', null],
    ['', 'point', null],
    ['12 kg', 'point', null],
  ] as const)('%s with a decimal %s is %s', (text, mark, value) => {
    expect(readFigure(text, mark)).toBe(value);
  });

  it('knows the mark where the column says, and asks where it does not', () => {
    expect(decimalMarkOf(['54,5', '61'])).toBe('comma');
    expect(decimalMarkOf(['54.5', '61'])).toBe('point');
    expect(decimalMarkOf(['54', '61'])).toBe('point');
    expect(decimalMarkOf(['1.200', '1.350'])).toBeNull();
    expect(decimalMarkOf(['1.200', '1.35'])).toBe('point');
    expect(decimalMarkOf([])).toBe('point');
  });

  it('reads any figure written either way', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9_999_999 }), fc.boolean(), (hundredths, grouped) => {
        const value = hundredths / 100;
        const written = value.toLocaleString('en-GB', { useGrouping: grouped, maximumFractionDigits: 2 });
        expect(readFigure(written, 'point')).toBe(value);
        const german = value.toLocaleString('de-DE', { useGrouping: grouped, maximumFractionDigits: 2 });
        expect(readFigure(german, 'comma')).toBe(value);
      }),
    );
  });
});

describe('dates as people write them', () => {
  it.each([
    ['2026-05-04', 'year-month-day', '2026-05-04'],
    ['2026-05-04T10:30:00', 'year-month-day', '2026-05-04'],
    ['4.5.2026', 'day-month-year', '2026-05-04'],
    ['04/05/26', 'day-month-year', '2026-05-04'],
    ['5/4/2026', 'month-day-year', '2026-05-04'],
    ['31.4.2026', 'day-month-year', null],
    ['29.2.2024', 'day-month-year', '2024-02-29'],
    ['29.2.2025', 'day-month-year', null],
    ['4.5', 'day-month-year', null],
    ['13/5/26', 'year-month-day', null],
    ['4.5.126', 'day-month-year', null],
    ['May 4', 'day-month-year', null],
  ] as const)('%s by %s is %s', (text, order, day) => {
    expect(readDay(text, order)).toBe(day);
  });

  it('says in which orders a column can be read', () => {
    expect(dateOrdersOf(['13/5/2026'])).toEqual(['day-month-year']);
    expect(dateOrdersOf(['4/5/2026', '5/13/2026'])).toEqual(['month-day-year']);
    expect(dateOrdersOf(['4/5/2026', '', '6/7/2026'])).toEqual(['day-month-year', 'month-day-year']);
    expect(dateOrdersOf(['2026-05-04'])).toEqual(['year-month-day']);
    expect(dateOrdersOf(['yesterday'])).toEqual([]);
    // Dots mean that the day comes first, unless no such day exists.
    expect(dateOrdersOf(['02.12.2026', '4. 5. 26'])).toEqual(['day-month-year']);
    expect(dateOrdersOf(['5.13.2026'])).toEqual(['month-day-year']);
    expect(dateOrdersOf(['02.12.2026', '04/05/2026'])).toEqual(['day-month-year', 'month-day-year']);
    // One that is none does not hide what the others say.
    expect(dateOrdersOf(['13/5/2026', 'soon'])).toEqual(['day-month-year']);
  });
});

describe('a date that two orders read as two days', () => {
  it('is said with the day it is read as', () => {
    expect(ambiguousDay(['4/4/2026', '02/12/2026'], 'day-month-year')).toEqual({
      text: '02/12/2026',
      day: '2026-12-02',
    });
    expect(ambiguousDay(['02/12/2026'], 'month-day-year')?.day).toBe('2026-02-12');
  });
  it('is not looked for where the column says its order', () => {
    expect(ambiguousDay(['13/2/2026', '02/12/2026'], 'day-month-year')).toBeNull();
    expect(ambiguousDay(['02.12.2026'], 'day-month-year')).toBeNull();
    expect(ambiguousDay(['2026-12-02'], 'year-month-day')).toBeNull();
    expect(ambiguousDay(['4/4/2026'], 'day-month-year')).toBeNull();
  });
});

describe('words', () => {
  it('are known by their letters alone', () => {
    expect(plainWords(' L.  Thigh ')).toBe('l thigh');
    for (const text of ['Left thigh', 'left leg', 'Thigh L', 'LT', 'l. leg', 'left-thigh'])
      expect([text, wordIn(LIMB_WORDS, text)]).toEqual([text, 'left-thigh']);
    expect(wordIn(LIMB_WORDS, 'right upper arm')).toBe('right-arm');
    expect(wordIn(LIMB_WORDS, 'head')).toBeNull();
    expect(wordIn(SIDE_WORDS, 'L/R')).toBe('both');
  });
});

describe('a table by its headings', () => {
  it('is known for what it is', () => {
    expect(likelyKind(['Name', 'Notes'])).toBe('people');
    expect(likelyKind(['Client', 'Date', 'Limb', 'Girth (cm)', 'Cuff'])).toBe('fits');
    expect(likelyKind(['Name', 'Date', 'Limb', 'Posture', 'Cuff', 'Method', 'LOP (mmHg)'])).toBe('pressures');
    expect(likelyKind(['Name', 'Date', 'Exercise', 'Side', 'Load (lb)', 'Reps'])).toBe('strength-tests');
    expect(likelyKind(['Name', 'Date', 'Measure', 'Limb', 'Value'])).toBe('outcomes');
    expect(likelyKind(['Name', 'Date', 'Plan', 'Reps', 'RPE'])).toBe('sessions');
  });

  it('gives each column away once, what fits best first', () => {
    expect(
      columnsOf(recognise('outcomes', ['Test date', 'Full name', 'Test', 'Result (cm)'], [], USUAL)),
    ).toEqual({
      person: { columns: [1], unit: null },
      day: { columns: [0], unit: null },
      measureId: { columns: [2], unit: null },
      values: { columns: [3], unit: 'cm' },
    });
  });

  it('gives its units and forms column by column, what it leaves open, and what could be read otherwise', () => {
    const headings = ['Name', 'Date', 'Exercise', 'Side', 'Load (lb)', 'Reps'];
    const rows = [['A', '4/5/2026', 'Knee extension', 'L', '88.5', '5']];
    const ambiguous = recognise('strength-tests', headings, rows, { ...USUAL, dateOrder: 'year-month-day' });
    expect(ambiguous.fields).toMatchObject({
      day: { dateOrder: null },
      loadKg: { unit: 'lb', decimalMark: 'point' },
    });
    expect(englishOf(missingIn(ambiguous))).toEqual(['“Day”: in which order are day, month and year?']);
    // Where the rows leave it open the practice's own order is taken, and said.
    const usual = recognise('strength-tests', headings, rows, { ...USUAL, dateOrder: 'month-day-year' });
    expect(usual.fields.day?.dateOrder).toBe('month-day-year');
    expect(doubtsIn(usual, headings, rows, METRIC)).toEqual([
      { field: 'day', heading: 'Date', of: 'day', text: '4/5/2026', day: '2026-04-05' },
    ]);
    const bare = recognise('strength-tests', ['Name', 'Date', 'Load'], [['A', '2026-05-04', '1.200']], USUAL);
    expect(englishOf(missingIn(bare))).toEqual([
      'Which column is “Exercise”?',
      'Which column is “Side”?',
      'Which column is “Repetitions”?',
      '“Load”: is 1.200 one and a bit, or over a thousand?',
    ]);
    expect([unitIn('Girth in inches'), unitIn('Weight'), unitIn('Umfang (mm)')]).toEqual(['in', null, 'mm']);
    // Several figures in a cell say how they are written, too.
    const figures = recognise(
      'outcomes',
      ['Name', 'Date', 'Measure', 'Value'],
      [['A', '2026-05-04', 'x', '52,1 52,4']],
      USUAL,
    );
    expect(figures.fields.values?.decimalMark).toBe('comma');
  });

  it('has decimals and units of each column by itself', () => {
    const headings = ['Name', 'Datum', 'Limb', 'Umfang', 'Manschette', 'Last'];
    const rows = [['A', '13.5.2026', 'links Oberschenkel', '545', 'Thigh large', '20,5']];
    const { fields } = recognise('fits', headings, rows, USUAL);
    // None of its figures can be in cm: they are in mm.
    expect(fields.girthCm).toMatchObject({ unit: 'mm', decimalMark: 'point' });
    expect(doubtsIn(recognise('fits', headings, rows, USUAL), headings, rows, METRIC)).toEqual([
      { field: 'girthCm', heading: 'Umfang', of: 'unit', text: '545', unit: 'mm' },
    ]);
    const inPoint = recognise('pressures', ['LOP', 'Step'], [['1,5', '2.5']], USUAL).fields;
    expect([inPoint.pressureMmHg?.decimalMark, inPoint.stepMmHg?.decimalMark]).toEqual(['comma', 'point']);
  });
});

describe('a sheet as practices keep it', () => {
  const read = (kind: Mapping['kind'], headings: string[], ...rows: string[][]) => {
    const mapping = recognise(kind, headings, rows, USUAL);
    return { mapping, records: rows.flatMap((row) => readRow(row, mapping, KNOWN, BY)) };
  };

  it('has the last name first, in one column or in two', () => {
    expect(personOf('Sandersby, Quill')).toBe('Quill Sandersby');
    expect(personOf('  Quill   Sandersby ')).toBe('Quill Sandersby');
    expect(personOf('Sandersby, Quill, PhD')).toBe('Sandersby, Quill, PhD');
    expect(personOf('Sandersby,')).toBe('Sandersby,');
    for (const [headings, row] of [
      [['Nachname, Vorname'], ['Sandersby, Quill']],
      [
        ['Nachname', 'Vorname'],
        ['Sandersby', 'Quill'],
      ],
      [
        ['First name', 'Surname'],
        ['Quill', 'Sandersby'],
      ],
    ])
      expect(read('people', headings ?? [], row ?? []).records).toMatchObject([
        { row: { person: 'Quill Sandersby' } },
      ]);
  });

  it('has contact in several columns, goals and a birth date of the last century', () => {
    const headings = ['Name', 'Geburtsdatum', 'E-Mail', 'Telefon', 'Ziele', 'Bemerkung'];
    expect(
      read('people', headings, [
        'Ann Vale',
        '4.5.61',
        'ann@example.org',
        '555 0101',
        'Stairs',
        'Deaf on the left',
      ]).records,
    ).toEqual([
      {
        ok: true,
        row: {
          person: 'Ann Vale',
          story: null,
          bornOn: '1961-05-04',
          contact: 'ann@example.org, 555 0101',
          goals: 'Stairs',
          notes: 'Deaf on the left',
        },
      },
    ]);
    expect(read('people', headings, ['Ben', '4.5.11', '', '', '', '']).records).toMatchObject([
      { row: { bornOn: '2011-05-04', contact: null } },
    ]);
  });

  it('has the left and the right next to each other, a row a person', () => {
    const headings = ['Name', 'Date', 'Girth L thigh (cm)', 'Girth R thigh (cm)', 'Cuff'];
    const { mapping, records } = read(
      'fits',
      headings,
      ['Ann', '2026-05-13', '54.5', '55', 'Thigh large'],
      ['Ben', '2026-05-13', '', '51', 'Thigh large'],
      ['Cas', '2026-05-13', '', '', ''],
    );
    expect(missingIn(mapping)).toEqual([]);
    expect(records).toMatchObject([
      { row: { person: 'Ann', limb: 'left-thigh', girthCm: 54.5, cuffId: 'thigh-large' } },
      { row: { person: 'Ann', limb: 'right-thigh', girthCm: 55 } },
      { row: { person: 'Ben', limb: 'right-thigh', girthCm: 51 } },
    ]);
  });

  it('asks which limb where its headings say the side alone', () => {
    const headings = ['Name', 'Date', 'Posture', 'Cuff', 'Method', 'LOP links', 'LOP rechts'];
    const { mapping } = read('pressures', headings, [
      'Ann',
      '2026-05-13',
      'sitting',
      'Thigh large',
      'probe',
      '174',
      '180',
    ]);
    expect(englishOf(missingIn(mapping))).toEqual([
      'Which limb is “LOP links”?',
      'Which limb is “LOP rechts”?',
    ]);
  });

  it('has both sides of a strength test, where a side is all that is asked', () => {
    const headings = [
      'Name',
      'Date',
      'Exercise',
      'Load left (lb)',
      'Reps left',
      'Load right (lb)',
      'Reps right',
    ];
    expect(
      read('strength-tests', headings, ['Ann', '2026-05-13', 'Knee extension', '88', '8', '90', '7']).records,
    ).toMatchObject([
      { row: { side: 'left', loadKg: 39.92, reps: 8 } },
      { row: { side: 'right', loadKg: 40.82, reps: 7 } },
    ]);
  });

  it('has one text for all rows where no column says it', () => {
    const mapping = recognise('fits', ['Name', 'Date', 'Girth'], [['Ann', '2026-05-13', '54']], USUAL);
    const { fields } = mapping;
    const said: Mapping = {
      ...mapping,
      fields: { ...fields, limb: fromConstant('right thigh'), cuffId: fromConstant('Thigh large') },
    };
    expect(missingIn(said)).toEqual([]);
    const notSaid = { ...said, fields: { ...said.fields, cuffId: fromConstant(' ') } };
    expect(englishOf(missingIn(notSaid))).toEqual(['Which column is “Cuff”?']);
    expect(readRow(['Ann', '2026-05-13', '54'], said, KNOWN, BY)).toMatchObject([
      { row: { limb: 'right-thigh', cuffId: 'thigh-large', girthCm: 54 } },
    ]);
  });

  it('may be several tables at once', () => {
    expect(
      kindsIn([
        'Nachname, Vorname',
        'Telefon',
        'Datum',
        'Umfang L Oberschenkel',
        'Umfang R Oberschenkel',
        'LOP L',
        'LOP R',
      ]),
    ).toEqual(['people', 'fits', 'pressures']);
    expect(kindsIn(['Name', 'Notes'])).toEqual(['people']);
    expect(kindsIn(['Name', 'Date', 'Exercise', 'Side', 'Load', 'Reps'])).toEqual(['strength-tests']);
    expect(kindsIn(['Name', 'Date', 'Limb', 'Girth', 'Cuff'])).toEqual(['fits']);
  });
});

const mapped = (kind: Mapping['kind'], headings: string[], ...rows: string[][]) => {
  const mapping = recognise(kind, headings, rows, USUAL);
  return rows.flatMap((row) => readRow(row, mapping, KNOWN, BY));
};

describe('a row', () => {
  it('is read in the units of the core', () => {
    expect(
      englishOf(
        mapped(
          'strength-tests',
          ['Name', 'Date', 'Exercise', 'Side', 'Load (lb)', 'Reps'],
          ['Ann', '13/5/26', 'Knee  extension', 'l.', '88', '5'],
        ),
      ),
    ).toEqual([
      {
        ok: true,
        row: {
          person: 'Ann',
          day: '2026-05-13',
          exerciseId: 'knee-extension',
          side: 'left',
          loadKg: 39.92,
          reps: 5,
        },
      },
    ]);
    expect(
      englishOf(
        mapped(
          'fits',
          ['Name', 'Date', 'Limb', 'Girth mm', 'Cuff'],
          ['Ann', '2026-05-13', 'RT', '545', 'Thigh large'],
        ),
      ),
    ).toMatchObject([{ row: { limb: 'right-thigh', girthCm: 54.5, cuffId: 'thigh-large' } }]);
    expect(
      englishOf(
        mapped(
          'sessions',
          ['Name', 'Day', 'Time', 'Reps', 'RPE'],
          ['Ann', '2026-05-13', '7:30', '30,15,15,12', ''],
        ),
      ),
    ).toMatchObject([{ row: { time: '07:30', reps: [30, 15, 15, 12], effort: null, plan: null } }]);
  });

  it('says of each cell what is wrong and how to correct it', () => {
    const [read] = mapped(
      'strength-tests',
      ['Name', 'Date', 'Exercise', 'Side', 'Load (kg)', 'Reps'],
      ['', '2026-13-01', 'Juggling', 'front', '4000', '5.5'],
    );
    expect(englishOf(read)).toEqual({
      ok: false,
      bad: [
        { field: 'person', reason: 'Person is empty. Fill it in.' },
        { field: 'day', reason: '“2026-13-01” is no date in this order. Write 2026-05-04.' },
        {
          field: 'exerciseId',
          reason: 'There is no exercise called “Juggling” here. Add it first, or write another.',
        },
        { field: 'side', reason: '“front” is no side. Write left, right or both.' },
        {
          field: 'loadKg',
          reason: 'Load of 4000: it lies between 0.5 and 500. Check the figure and its unit.',
        },
        { field: 'reps', reason: 'Repetitions is a whole number.' },
      ],
    });
    expect(
      englishOf(
        mapped(
          'strength-tests',
          ['Name', 'Date', 'Exercise', 'Side', 'Load (kg)', 'Reps'],
          ['Ann', '2026-05-13', 'Knee extension', 'left', 'forty', '5'],
        ),
      ),
    ).toEqual([
      {
        ok: false,
        bad: [{ field: 'loadKg', reason: '“forty” is no figure. Write it without letters.' }],
      },
    ]);
    const reasons = (row: ReturnType<typeof readRow>[number]) =>
      row.ok ? [] : row.bad.map(({ reason }) => reason);
    expect(
      englishOf(
        mapped(
          'sessions',
          ['Name', 'Day', 'Time', 'Reps'],
          ['A'.repeat(81), '2026-05-13', 'noon', '30/x'],
        ).flatMap(reasons),
      ),
    ).toEqual([
      'Person is longer than 80 characters. Shorten it.',
      '“noon” is no time. Write 17:30.',
      'Repetitions by set: “30/x” is not all figures from 0 to 500. Write 30/15/15.',
    ]);
    expect(
      englishOf(
        mapped(
          'outcomes',
          ['Name', 'Date', 'Measure', 'Value'],
          ['A', '2026-05-13', 'Calf girth', '1 2 3 4 5 6 7 8 9 10 11'],
        ).flatMap(reasons),
      ),
    ).toEqual(['Figures: at most 10 figures.']);
    const timeOf = (time: string) =>
      mapped('sessions', ['Name', 'Day', 'Time', 'Reps'], ['Ann', '2026-05-13', time, '30']).flatMap((row) =>
        row.ok ? [Reflect.get(row.row, 'time')] : reasons(row),
      );
    expect(englishOf(['23:59', '24:00', '12:60', '9h05'].flatMap(timeOf))).toEqual([
      '23:59',
      '“24:00” is no time. Write 17:30.',
      '“12:60” is no time. Write 17:30.',
      '09:05',
    ]);
  });

  it('is read or refused, whatever is in it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TABLE_KINDS),
        fc.array(
          fc.oneof(
            fc.string(),
            fc.constantFrom('Name', 'Girth L', 'Girth R thigh', 'LOP L', 'Load right', 'Datum'),
          ),
          {
            maxLength: 8,
          },
        ),
        fc.array(fc.string(), { maxLength: 8 }),
        (kind, headings, cells) => {
          for (const read of readRow(cells, recognise(kind, headings, [cells], USUAL), KNOWN, BY))
            if (!read.ok) expect(read.bad.every(({ reason }) => inEnglish(reason).length > 10)).toBe(true);
        },
      ),
    );
  });
});
