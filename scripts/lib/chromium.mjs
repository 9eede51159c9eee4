/** How tests and pictures start Debian's Chromium: headless, as root, and asking nothing of the network. */
export const CHROMIUM = '/usr/bin/chromium';
export const LAUNCH = {
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
