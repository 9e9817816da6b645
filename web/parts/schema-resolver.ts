// A form whose words are judged as they are typed; a schema without words of its own has the house's.
import '#contract/schema-words';

export { zodResolver as schemaResolver } from '@hookform/resolvers/zod';
