import '../no-eval';
import '../theme/theme.css';
import { speak } from '../language/language';

await speak();
await import('./page');
