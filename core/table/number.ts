/** What is between whole and part in a column of figures. */
export type DecimalMark = 'point' | 'comma';

const SHAPES: Record<DecimalMark, RegExp> = {
  point: /^[+-]?(\d+|\d{1,3}([ ',]\d{3})+)(\.\d+)?$/,
  comma: /^[+-]?(\d+|\d{1,3}([ '.]\d{3})+)(,\d+)?$/,
};

/**
 * A figure as it was typed into a table; `null` where it is none. What is between thousands is passed over.
 * @example readFigure('1,234.5', 'point') //=> 1234.5
 * @example readFigure('54,5', 'comma') //=> 54.5
 */
export function readFigure(text: string, mark: DecimalMark): number | null {
  // A space between thousands may be one that does not break.
  const typed = text.trim().replace(/\s/g, ' ');
  if (!SHAPES[mark].test(typed)) return null;
  const plain =
    mark === 'point' ? typed.replace(/[ ',]/g, '') : typed.replace(/[ '.]/g, '').replace(',', '.');
  return Number(plain);
}

/**
 * Which mark a column of figures has; `null` where both read all of it and say something else, so that the user has to say.
 * @example decimalMarkOf(['54,5', '61']) //=> 'comma'
 * @example decimalMarkOf(['1.200', '1.350']) //=> null
 */
export function decimalMarkOf(texts: readonly string[]): DecimalMark | null {
  const typed = texts.filter((text) => text.trim() !== '');
  const readBy = (mark: DecimalMark) => typed.map((text) => readFigure(text, mark));
  const [point, comma] = [readBy('point'), readBy('comma')];
  const misread = (figures: readonly (number | null)[]) => figures.filter((figure) => figure === null).length;
  if (misread(point) !== misread(comma)) return misread(point) < misread(comma) ? 'point' : 'comma';
  return point.every((figure, place) => figure === comma[place]) ? 'point' : null;
}
