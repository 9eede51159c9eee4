import { chromium } from 'playwright-core';
const [, , path, out, w = '1280', h = '800', full = ''] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const p = await b.newPage({ viewport: { width: +w, height: +h } });
p.on('console', (m) => m.type() === 'error' && console.log(m.text()));
let url = path;
if (path.startsWith('piece:')) {
  await p.goto('http://127.0.0.1:4555/gear/saws/s-brask-66');
  url = await p
    .getByRole('link', { name: path.slice(6), exact: true })
    .first()
    .getAttribute('href');
}
await p.goto('http://127.0.0.1:4555' + url);
await p.waitForTimeout(1500);
await p.screenshot({ path: out, fullPage: full === 'full' });
await b.close();
