/** Header that says who is working. */
export const PRACTITIONER_HEADER = 'x-nervato-practitioner';
