import { type Message, msg } from '../message/message';
/** What is read with a person before they agree (rule SCR-6): headed paragraphs, in plain words. */
export type ConsentText = { sections: readonly { heading: Message; lines: readonly Message[] }[] };

const FIRST: ConsentText = {
  sections: [
    {
      heading: msg('What it is'),
      lines: [
        msg(
          'A cuff or strap high on your arm or thigh is tightened while you do light exercise. It slows the blood that flows in and holds back the blood that flows out. It never stays fully closed while you exercise.',
        ),
        msg(
          'How tight is worked out for you: the pressure that closes the artery of that limb is measured first, and a share of it is used.',
        ),
      ],
    },
    {
      heading: msg('Why a light load can be enough'),
      lines: [
        msg(
          'Muscle under a cuff tires early, and tired muscle answers to training, even where the load is light. That is as far as it is understood; how much of it comes from which change in the muscle is still being studied.',
        ),
      ],
    },
    {
      heading: msg('What you will feel'),
      lines: [
        msg(
          'The limb feels tight and full. The muscle burns, more with every set, and you may breathe hard. The skin may redden, veins may stand out, and the limb swells a little. It eases within a minute or two of letting the cuff down.',
        ),
      ],
    },
    {
      heading: msg('Say so at once'),
      lines: [
        msg(
          'Numbness or tingling, a pale, blue, purple or cold limb, sharp pain, dizziness, sickness, headache, trouble seeing, pain in the chest, or being short of breath at rest. The cuff comes down at once.',
        ),
      ],
    },
    {
      heading: msg('What can happen'),
      lines: [
        msg(
          'Often: sore muscles for a day or two, marks of the cuff on the skin. Sometimes: bruising or small red points under the cuff, light-headedness when it is let down. Like other hard exercise it raises blood pressure and pulse while it lasts.',
        ),
        msg(
          'Rarely: numbness that stays, fainting, a blood clot, or muscle damage with dark urine. That is why we ask about your health first, and why some people must not do it.',
        ),
      ],
    },
    {
      heading: msg('What it cannot do'),
      lines: [
        msg(
          'It works on arms and legs. It does not take the place of heavy training where the most strength is wanted, nor of treatment that you were advised to have. A result cannot be promised.',
        ),
      ],
    },
    {
      heading: msg('It is yours to stop'),
      lines: [
        msg(
          'You may have the cuff let down at any time, without giving a reason, and you may take back what you agreed to. It changes nothing else about how you are looked after. What is measured and done is kept on your record.',
        ),
      ],
    },
  ],
};

/** Every version of the text that anybody may have agreed to, by its number; what was read once is never changed. */
export const CONSENT_TEXTS: Readonly<Record<number, ConsentText>> = { 1: FIRST };
