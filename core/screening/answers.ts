/** What people ask before and while they train, with an answer to hand over: general, careful, and without a promise. */
export const ANSWERS: readonly { question: string; answer: string }[] = [
  {
    question: 'Can it give me a clot?',
    answer:
      'Clots are among the rare things that are watched for. Whoever has had one, or has more than one thing that makes one likelier, is asked about it first and does not start without a physician. Say at once if a calf or arm is swollen and painful, or if breath is short.',
  },
  {
    question: 'Can it hurt a nerve?',
    answer:
      'Numbness or tingling is a sign to let the cuff down. A wide cuff at a measured pressure, for a limited time, is how nerves are looked after. Numbness that does not go within two minutes is looked at the same day.',
  },
  {
    question: 'Will I be sore?',
    answer: 'Often, for a day or two, most of all after the first sessions. It grows less with the weeks.',
  },
  {
    question: 'Is it meant to turn purple?',
    answer:
      'Redder and fuller is normal. Purple, blue, pale or cold is not: the cuff is too tight, and comes down.',
  },
  {
    question: 'Why does it leave me breathless with no weight on?',
    answer:
      'The muscle works without its usual flow of blood, so the body answers as to harder work. It settles in the rests. Being short of breath while you rest is another matter: say so.',
  },
  {
    question: 'Why only arms and legs?',
    answer:
      'A cuff can hold back blood only where it goes all the way round. Muscles nearer the trunk may gain a little when they help in the exercise, but they are not under it.',
  },
  {
    question: 'Why so light?',
    answer:
      'The cuff makes light work hard for the muscle, while joints, bones and scars carry little. More weight or more pressure than that is not better.',
  },
  {
    question: 'How long until I see it?',
    answer:
      'With two or three sessions a week most people notice the work getting easier first. A change in size is not looked for before the third week. It is measured, and the measurement says how sure it is.',
  },
  {
    question: 'Can I do it at home with any strap?',
    answer:
      'Not by guessing. A strap has no gauge, and people misjudge how tight it is. Only use what was fitted with you, as your sheet says.',
  },
];
