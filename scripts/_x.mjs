import { chromium } from 'playwright-core';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const shots = JSON.parse(process.argv[2]);
for (const [url, file, w = 1280, h = 800, click] of shots) {
  const p = await b.newPage({ viewport: { width: w, height: h } });
  await p.goto('http://127.0.0.1:4555' + url); await p.waitForLoadState('networkidle'); await p.waitForTimeout(600);
  if (click) { await p.click(click); await p.waitForTimeout(1200); }
  await p.screenshot({ path: file }); await p.close();
}
await b.close();
