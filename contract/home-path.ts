/** Where the page of a home link is; its secret is after the `#`. Without zod, for the first view. */
export const HOME_PATH = '/home';
