/** Which side a strength test was done on. */
export type Side = 'left' | 'right' | 'both';
