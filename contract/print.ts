/** Where the server's own print finds an issued report: `?ticket=…&paper=…&language=…`. Without zod, for the first view. */
export const PRINT_PATH = '/print';
