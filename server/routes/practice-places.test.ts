import { describe, expect, it } from 'vitest';
import type { PracticeView } from '#contract/practice';
import { startApi } from '../api.fixture';

const HALL = { id: 'hall', kind: 'gym', name: 'Harbour hall', hours: 'Mon 6–22', emergencyPhone: '144' };

describe('places of a practice', () => {
  it('are kept, and removed only once no kit is there', async () => {
    const api = await startApi();
    const { settings, cuffs } = await api.get<PracticeView>('/practice');
    await api.post('/practice/settings', { ...settings, places: [HALL] });
    const [cuff] = cuffs;
    await api.post('/practice/kit', { list: 'cuffs', item: { ...cuff, places: ['hall'] } });
    const { status, problem } = await api.refused('/practice/settings', { ...settings, places: [] });
    expect([status, problem.errors[0]?.path, problem.errors[0]?.rule]).toEqual([422, 'places', 'LOAD-4']);
    expect((await api.get<PracticeView>('/practice')).settings.places).toEqual([HALL]);
    await api.post('/practice/kit', { list: 'cuffs', item: { ...cuff, places: ['gym'] } });
    await api.post('/practice/settings', { ...settings, places: [] });
    expect((await api.get<PracticeView>('/practice')).settings.places).toEqual([]);
  });

  it('have a name, and an emergency number that is one', async () => {
    const api = await startApi();
    const { settings } = await api.get<PracticeView>('/practice');
    const refused = async (place: object) => {
      const { problem } = await api.refused('/practice/settings', {
        ...settings,
        places: [{ ...HALL, ...place }],
      });
      return problem.errors[0]?.path;
    };
    expect(await refused({ name: ' ' })).toBe('places.0.name');
    expect(await refused({ emergencyPhone: '1' })).toBe('places.0.emergencyPhone');
  });
});
