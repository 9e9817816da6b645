// Invented names: a given name and two halves of a family name make some sixty thousand people.
const GIVEN =
  'Adair Belisama Corvin Delphine Eamon Farrah Gideon Hester Idris Junia Kester Linnea Merrin Nadir Orla Perrin Quilla Rufus Sabela Tamsin Ulric Verity Wystan Xanthe Yorick Zelda Ambrose Briony Caspian Dilys Emeric Flora Galen Honor Ivo Jessamy Kenna Lorcan Mabyn Nestor'.split(
    ' ',
  );
const FIRST =
  'Alder Barrow Corn Dun Elm Fen Garth Hazel Iron Jessel Kelder Larch Marl Nettle Oak Pell Quarry Rook Stell Thorn Under Vane Wether Yarrow'.split(
    ' ',
  );
const SECOND =
  'by croft dale end field garth ham hurst ing keld ley marsh mere ness port ridge shaw side stead thorpe ton ward well wick worth'.split(
    ' ',
  );
const STORIES = [
  'Knee, six weeks after the operation.',
  'Thigh strength, left weaker.',
  'Back to hill walking.',
  'Rowing, off-season.',
  'Shoulder, slow to load.',
  'Muscle mass kept through a long illness.',
  'Calf after a tear.',
  '',
];

/** The person at a place of the list; the same place always names the same person. */
export function personAt(place: number): { name: string; story: string } {
  const given = GIVEN[place % GIVEN.length] ?? '';
  const rest = Math.floor(place / GIVEN.length) * 7 + place;
  const first = FIRST[rest % FIRST.length] ?? '';
  const second = SECOND[Math.floor(rest / FIRST.length) % SECOND.length] ?? '';
  return {
    name: `${given} ${first}${second}`,
    story: STORIES[(place + Math.floor(place / GIVEN.length)) % STORIES.length] ?? '',
  };
}
