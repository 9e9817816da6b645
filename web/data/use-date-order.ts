import type { DateOrder } from '#core/table';
import { usePractice } from './queries';

/** In which order the practice writes day, month and year. */
export const useDateOrder = (): DateOrder => usePractice().data?.settings.dateOrder ?? 'day-month-year';
