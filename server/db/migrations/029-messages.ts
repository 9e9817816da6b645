import { Migration } from '@mikro-orm/migrations';

/** Spans of the safety table by their ids. */
const BANDS = {
  percent_band: {
    'by feel': 'by-feel',
    'under 40 %': 'under-40',
    '40–49 %': '40-49',
    '50–59 %': '50-59',
    '60–69 %': '60-69',
    '70–79 %': '70-79',
    '80 % and over': '80-up',
  },
  minutes_band: {
    'under 2 min': 'under-2',
    '2–5 min': '2-5',
    '5–10 min': '5-10',
    '10 min and over': '10-up',
  },
};

/** What the app says is kept as a message, with its figures; the English of earlier releases stays as it is, as a JSON string. */
export class Messages extends Migration {
  override async up(): Promise<void> {
    this.addSql('update hold set words = json_quote(words)');
    this.addSql('update hold set lift_reason = json_quote(lift_reason) where lift_reason is not null');
    this.addSql('update taken_in set words = json_quote(words)');
    for (const [column, ids] of Object.entries(BANDS)) {
      const cases = Object.entries(ids)
        .map(([was, is]) => `when '${was}' then '${is}'`)
        .join(' ');
      this.addSql(`update inflation_count set ${column} = case ${column} ${cases} else ${column} end`);
    }
  }
}
