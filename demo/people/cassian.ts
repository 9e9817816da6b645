import { type DemoPerson, readings } from './history';

/** On hold because of his blood pressure. */
export const cassian: DemoPerson = {
  client: { name: 'Cassian Wetherhold', story: 'Glassblower with a sore elbow on the right.' },
  history: [
    {
      daysAgo: 1,
      do: 'screen',
      body: {
        yes: ['smoker'],
        bloodPressures: readings([184, 106], [180, 102]),
        note: 'See his physician first.',
      },
    },
  ],
};
