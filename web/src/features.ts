import { log } from './lib/log/feature';
import { contest } from './lib/operate/contest/feature';
import { desk } from './lib/operate/desk/feature';
import { line } from './lib/operate/line/feature';
import { net } from './lib/operate/net/feature';
import { onAir } from './lib/operate/onair/feature';
import { partner } from './lib/operate/partner/feature';
import { picture } from './lib/operate/picture/feature';
import type { FeatureFactory } from './lib/platform/page/feature';
import { storage } from './lib/platform/storage/feature';
import { services } from './lib/services/feature';
import { clock } from './lib/sources/clock/feature';
import { digital } from './lib/sources/digital/feature';
import { feed } from './lib/sources/feed/feature';
import { hookup } from './lib/sources/hub/feature';
import { intake } from './lib/sources/intake/feature';
import { radio } from './lib/sources/radio/feature';
import { rotor } from './lib/sources/rotor/feature';
import { search } from './lib/sources/search/feature';
import { text } from './lib/sources/text/feature';
import { position } from './lib/station/position/feature';
import { station } from './lib/station/feature';

/** All the page is made of. A feature stands after those whose stores it takes. */
export const FEATURES: FeatureFactory[] = [
  storage,
  position,
  station,
  clock,
  search,
  radio,
  rotor,
  digital,
  feed,
  text,
  intake,
  hookup,
  log,
  line,
  partner,
  onAir,
  net,
  contest,
  picture,
  desk,
  services,
];
