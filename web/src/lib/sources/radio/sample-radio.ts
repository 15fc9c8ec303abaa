import type { Radio } from '../../platform/api/client';
import { texts } from './texts';

/** A radio for tests, with whatever is different from the usual. */
export function sampleRadio(different: Partial<Radio> = {}): Radio {
  return {
    id: 1,
    hookup: `radio-${different.id ?? 1}`,
    name: texts.radioNumber(different.id ?? 1),
    dialect: 'semicolon',
    address: '127.0.0.1:7402',
    bus: 0,
    fullPowerW: 100,
    pollEveryMs: 100,
    lowerSidebandKeyed: false,
    shareTransmit: false,
    sendTexts: false,
    textProblem: '',
    keyingLimitS: 180,
    incidents: [],
    programs: [],
    ...different,
  };
}
