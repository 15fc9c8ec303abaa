// Installs the packages only when the lock file is newer than the last installation.
import { execFileSync } from 'node:child_process';
import { existsSync, statSync, writeFileSync } from 'node:fs';

const stamp = 'node_modules/.installed-from-lock';
if (!existsSync(stamp) || statSync('package-lock.json').mtimeMs > statSync(stamp).mtimeMs) {
  // No package needs its install script here; some only phone home.
  execFileSync('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: 'inherit',
  });
  writeFileSync(stamp, '');
}
