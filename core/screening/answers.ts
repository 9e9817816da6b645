import { type Message, msg } from '../message/message';
/** What people ask before and while they train, with an answer to hand over: general, careful, and without a promise. */
export const ANSWERS: readonly { question: Message; answer: Message }[] = [
  {
    question: msg('Can it give me a clot?'),
    answer: msg(
      'Clots are among the rare things that are watched for. Anyone who has had one, or has more than one thing that makes one likelier, is asked about it first and does not start without a physician. Say at once if a calf or arm is swollen and painful, or if breath is short.',
    ),
  },
  {
    question: msg('Can it hurt a nerve?'),
    answer: msg(
      'Numbness or tingling is a reason to deflate the cuff. A wide cuff at a measured pressure, for a limited time, is how nerves are looked after. Numbness that does not go within two minutes is looked at the same day.',
    ),
  },
  {
    question: msg('Will I be sore?'),
    answer: msg(
      'Often, for a day or two, most of all after the first sessions. It grows less with the weeks.',
    ),
  },
  {
    question: msg('Is it meant to turn purple?'),
    answer: msg(
      'Redder and fuller is normal. Purple, blue, pale or cold is not: the cuff is too tight, and comes down.',
    ),
  },
  {
    question: msg('Why does it leave me breathless with no weight on?'),
    answer: msg(
      'The muscle works without its usual flow of blood, so the body answers as to harder work. It settles in the rests. Being short of breath while you rest is another matter: say so.',
    ),
  },
  {
    question: msg('Why only arms and legs?'),
    answer: msg(
      'A cuff can hold back blood only where it goes all the way round. Muscles nearer the trunk may gain a little when they help in the exercise, but they are not under it.',
    ),
  },
  {
    question: msg('Why so light?'),
    answer: msg(
      'The cuff makes light work hard for the muscle, while joints, bones and scars carry little. More weight or more pressure than that is not better.',
    ),
  },
  {
    question: msg('How long until I see it?'),
    answer: msg(
      'With two or three sessions a week most people notice the work getting easier first. A change in size is not looked for before the third week. It is measured, and the measurement says how sure it is.',
    ),
  },
  {
    question: msg('Can I do it at home with any strap?'),
    answer: msg(
      'Not by guessing. A strap has no gauge, and people misjudge how tight it is. Only use what was fitted with you, as your sheet says.',
    ),
  },
];
