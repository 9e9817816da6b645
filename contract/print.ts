/** Where the server's own print finds an issued report: `?ticket=…&paper=…`. Without zod, for the first view. */
export const PRINT_PATH = '/print';
