import { routes } from '@bright-keeper/contract';
import { record } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { checkReport } from './checkReport';
import { ReportCheckPage } from './ReportCheckPage';
import { ReportPage } from './ReportPage';
import { partsFrom, partsWith, reportQueryOf } from './reportView';

afterEach(endPage);

const REPORT: record.ConditionReport = {
  format: 'condition-report',
  edition: 1,
  madeAt: '2026-03-10T10:00:00.000Z',
  timeZone: 'UTC',
  parts: ['surfaces', 'opened'],
  things: [
    {
      name: 'Ostrane 58/1.4',
      kind: 'lens',
      traits: {},
      notedSince: '2026-01-02T10:00:00.000Z',
      facts: [['Kind', 'Lens']],
      surfaces: [
        {
          surface: 'front-glass',
          name: 'Front glass',
          findings: [{ soil: 'fingerprint', severity: 2 }],
          verdict: 'clean',
          asOf: '2026-03-01T10:00:00.000Z',
          says: 'Fingerprint (light).',
        },
        { surface: 'rear-glass', name: 'Rear glass', findings: [], says: 'Not looked at.' },
      ],
      opened: [],
    },
  ],
};
const base64url = (bytes: ArrayBuffer) =>
  btoa(String.fromCharCode(...new Uint8Array(bytes)))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
async function signed(report = REPORT): Promise<record.SignedReport> {
  const { publicKey, privateKey } = await crypto.subtle.generateKey('Ed25519', true, ['sign', 'verify']);
  const value = await crypto.subtle.sign('Ed25519', privateKey, new TextEncoder().encode(record.signedText(report)));
  return {
    report,
    signature: { algorithm: 'Ed25519', publicKey: base64url(await crypto.subtle.exportKey('raw', publicKey)), value: base64url(value) },
  };
}

describe('a report that is checked', () => {
  it('is as it was signed, laid out in whatever way; with any word of it changed it was edited', async () => {
    const whole = await signed();
    const is = async (value: unknown) => (await checkReport(JSON.stringify(value, null, 2))).is;
    expect(await is(whole)).toBe('whole');
    const edits: ((r: record.SignedReport) => void)[] = [
      (r) => void (r.report.things[0]!.surfaces![0]!.says = 'Nothing found.'),
      (r) => void (r.report.things[0]!.name = 'Ostrane 58/1.2'),
      (r) => void (r.report.madeAt = '2026-03-11T10:00:00.000Z'),
      (r) => void r.report.things[0]!.surfaces!.pop(),
      (r) => void delete r.report.things[0]!.opened,
      (r) => void r.report.things.push(r.report.things[0]!),
      (r) => void (r.signature.value = `${r.signature.value[0] === 'A' ? 'B' : 'A'}${r.signature.value.slice(1)}`),
    ];
    for (const edit of edits) {
      const edited = structuredClone(whole);
      edit(edited);
      expect(await is(edited), String(edit)).toBe('edited');
    }
    // Signed anew by somebody else it is whole, and by another key: that is said by the key alone.
    const [ours, theirs] = await Promise.all([whole, await signed()].map((r) => checkReport(JSON.stringify(r))));
    expect(ours).toMatchObject({ is: 'whole' });
    expect((theirs as { fingerprint: string }).fingerprint).not.toBe((ours as { fingerprint: string }).fingerprint);
  });

  it.each<[string, string]>([
    ['no JSON', 'a photograph'],
    ['nothing', ''],
    ['another file', '{"items":[]}'],
    ['a list in a list in a list', '['.repeat(90_000)],
    ['a key too short', JSON.stringify({ report: REPORT, signature: { algorithm: 'Ed25519', publicKey: 'AAAA', value: 'A'.repeat(86) } })],
    [
      'another algorithm',
      JSON.stringify({ report: REPORT, signature: { algorithm: 'none', publicKey: 'A'.repeat(43), value: 'A'.repeat(86) } }),
    ],
  ])('is none: %s', async (_, text) => {
    expect((await checkReport(text)).is).toBe('no-report');
  });

  it('with something in it that no report has is none, though it was signed with that', async () => {
    const more = { ...REPORT, verdict: 'flawless' } as record.ConditionReport;
    expect((await checkReport(JSON.stringify(await signed(more)))).is).toBe('no-report');
    expect((await checkReport(JSON.stringify({ ...(await signed()), appraisal: 900 }))).is).toBe('no-report');
  });

  it('with a key that is no point of the curve was edited', async () => {
    const { signature } = await signed();
    const broken = { report: REPORT, signature: { ...signature, publicKey: `${'_'.repeat(42)}8` } };
    expect((await checkReport(JSON.stringify(broken))).is).toBe('edited');
  });

  it('is told on its page with what stands in it, and whose key it is', async () => {
    const whole = await signed();
    const fingerprint = ((await checkReport(JSON.stringify(whole))) as { fingerprint: string }).fingerprint;
    showPage(ReportCheckPage, '/report/check', '/report/check', {
      [`GET ${routes.settings}`]: settingsIn('NOK'),
      [`GET ${routes.reportKey}`]: { publicKey: whole.signature.publicKey, fingerprint },
    });
    const choose = (text: string) =>
      fireEvent.change(screen.getByLabelText(/^Choose/), { target: { files: [new File([text], 'condition-report.json')] } });
    choose(JSON.stringify(whole));
    expect(await screen.findByText('As it was signed')).toBeTruthy();
    await waitFor(() => expect(screen.getByText(/It is signed by this household’s key/)).toBeTruthy());
    expect(screen.getByText(/Not looked at: rear glass\./)).toBeTruthy();
    expect(screen.getByText('No opening is noted.')).toBeTruthy();
    choose(JSON.stringify(whole).replace('Fingerprint (light)', 'Nothing found'));
    expect(await screen.findByText('It was edited, or is not whole')).toBeTruthy();
    choose('{}');
    expect(await screen.findByText('This is no report')).toBeTruthy();
    expect(screen.queryByText('Ostrane 58/1.4')).toBeNull();
  });
});

describe('what a report shows', () => {
  it('is chosen in the address, in its own order; prices and notes only where they are asked for', () => {
    expect(partsFrom(new URLSearchParams())).toEqual(['serial', 'surfaces', 'photographs', 'air', 'care', 'opened', 'measured']);
    expect(partsFrom(new URLSearchParams('parts='))).toEqual([]);
    expect(partsFrom(new URLSearchParams('parts=notes,serial,everything,__proto__'))).toEqual(['serial', 'notes']);
    expect(partsWith(['serial', 'notes'], 'prices', true)).toBe('serial,prices,notes');
    expect(partsWith(['serial', 'notes'], 'serial', false)).toBe('notes');
    expect(reportQueryOf(null, [])).toBe('parts=');
  });

  it('is asked for by what is ticked, and leads to the same as files', async () => {
    const report = await signed();
    const page = showPage(ReportPage, '/report', '/report?thing=11111111-1111-4111-8111-111111111111&parts=surfaces,opened', {
      [`GET ${routes.settings}`]: settingsIn('NOK'),
      [`GET ${routes.report('').replace('?', '')}`]: report,
      [`GET ${routes.reportKey}`]: { publicKey: report.signature.publicKey, fingerprint: 'ab'.repeat(32) },
    });
    expect(await screen.findByRole('heading', { name: 'Ostrane 58/1.4' })).toBeTruthy();
    expect(screen.getByRole('checkbox', { name: 'What is on each surface' }).matches(':checked')).toBe(true);
    expect(screen.getByRole('checkbox', { name: 'Prices and where it was bought' }).matches(':checked')).toBe(false);
    expect(await screen.findByText('abab abab abab abab abab abab abab abab')).toBeTruthy();
    fireEvent.click(screen.getByRole('checkbox', { name: 'Prices and where it was bought' }));
    expect(decodeURIComponent(page.address())).toContain('parts=prices,surfaces,opened');
    expect(decodeURIComponent(screen.getByRole('link', { name: 'Signed file' }).getAttribute('href')!)).toContain(
      'parts=prices,surfaces,opened',
    );
  });
});
