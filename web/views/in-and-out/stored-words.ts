import type { TableField } from '#core/table/tables';

/** A value as it will be stored, with its unit. */
export function storedWords({ reading }: TableField, value: unknown): string {
  if (value === null || value === undefined) return '–';
  if (Array.isArray(value)) return value.join(' / ');
  if (reading.as === 'figure' && reading.unit !== 'none')
    return `${value} ${reading.unit === 'mass' ? 'kg' : 'cm'}`;
  return String(value).replaceAll('-', reading.as === 'day' ? '-' : ' ');
}
