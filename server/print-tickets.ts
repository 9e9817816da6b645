import { randomBytes } from 'node:crypto';
import type { PrintedReport } from '#contract/outcomes';

const VALID_MS = 60_000;

/** What the server's own print may read, once and soon: its browser is signed in to nothing. */
export class PrintTickets {
  private readonly reports = new Map<string, PrintedReport>();

  give(report: PrintedReport): string {
    const ticket = randomBytes(24).toString('base64url');
    this.reports.set(ticket, report);
    setTimeout(() => this.reports.delete(ticket), VALID_MS).unref();
    return ticket;
  }

  take(ticket: string): PrintedReport | undefined {
    const report = this.reports.get(ticket);
    this.reports.delete(ticket);
    return report;
  }
}
