import { writtenOut } from './state-return.js';
import { STATE_CODES, type StateCode, type StateRules } from './state.js';
import { ALASKA } from './us-ak/rules.js';
import { ALABAMA } from './us-al/rules.js';
import { ARKANSAS } from './us-ar/rules.js';
import { ARIZONA } from './us-az/rules.js';
import { CALIFORNIA } from './us-ca/rules.js';
import { COLORADO } from './us-co/rules.js';
import { CONNECTICUT } from './us-ct/rules.js';
import { DISTRICT_OF_COLUMBIA } from './us-dc/rules.js';
import { DELAWARE } from './us-de/rules.js';
import { FLORIDA } from './us-fl/rules.js';
import { GEORGIA } from './us-ga/rules.js';
import { HAWAII } from './us-hi/rules.js';
import { IOWA } from './us-ia/rules.js';
import { IDAHO } from './us-id/rules.js';
import { ILLINOIS } from './us-il/rules.js';
import { INDIANA } from './us-in/rules.js';
import { KANSAS } from './us-ks/rules.js';
import { KENTUCKY } from './us-ky/rules.js';
import { LOUISIANA } from './us-la/rules.js';
import { MASSACHUSETTS } from './us-ma/rules.js';
import { MARYLAND } from './us-md/rules.js';
import { MAINE } from './us-me/rules.js';
import { MICHIGAN } from './us-mi/rules.js';
import { MINNESOTA } from './us-mn/rules.js';
import { MISSOURI } from './us-mo/rules.js';
import { MISSISSIPPI } from './us-ms/rules.js';
import { MONTANA } from './us-mt/rules.js';
import { NORTH_CAROLINA } from './us-nc/rules.js';
import { NORTH_DAKOTA } from './us-nd/rules.js';
import { NEBRASKA } from './us-ne/rules.js';
import { NEW_HAMPSHIRE } from './us-nh/rules.js';
import { NEW_JERSEY } from './us-nj/rules.js';
import { NEW_MEXICO } from './us-nm/rules.js';
import { NEVADA } from './us-nv/rules.js';
import { NEW_YORK } from './us-ny/rules.js';
import { OHIO } from './us-oh/rules.js';
import { OKLAHOMA } from './us-ok/rules.js';
import { OREGON } from './us-or/rules.js';
import { PENNSYLVANIA } from './us-pa/rules.js';
import { RHODE_ISLAND } from './us-ri/rules.js';
import { SOUTH_CAROLINA } from './us-sc/rules.js';
import { SOUTH_DAKOTA } from './us-sd/rules.js';
import { TENNESSEE } from './us-tn/rules.js';
import { TEXAS } from './us-tx/rules.js';
import { UTAH } from './us-ut/rules.js';
import { VIRGINIA } from './us-va/rules.js';
import { VERMONT } from './us-vt/rules.js';
import { WASHINGTON } from './us-wa/rules.js';
import { WISCONSIN } from './us-wi/rules.js';
import { WEST_VIRGINIA } from './us-wv/rules.js';
import { WYOMING } from './us-wy/rules.js';

/** The one place that names the state folders. */
const FOLDERS: Readonly<Record<StateCode, StateRules>> = {
  AK: ALASKA,
  AL: ALABAMA,
  AR: ARKANSAS,
  AZ: ARIZONA,
  CA: CALIFORNIA,
  CO: COLORADO,
  CT: CONNECTICUT,
  DC: DISTRICT_OF_COLUMBIA,
  DE: DELAWARE,
  FL: FLORIDA,
  GA: GEORGIA,
  HI: HAWAII,
  IA: IOWA,
  ID: IDAHO,
  IL: ILLINOIS,
  IN: INDIANA,
  KS: KANSAS,
  KY: KENTUCKY,
  LA: LOUISIANA,
  MA: MASSACHUSETTS,
  MD: MARYLAND,
  ME: MAINE,
  MI: MICHIGAN,
  MN: MINNESOTA,
  MO: MISSOURI,
  MS: MISSISSIPPI,
  MT: MONTANA,
  NC: NORTH_CAROLINA,
  ND: NORTH_DAKOTA,
  NE: NEBRASKA,
  NH: NEW_HAMPSHIRE,
  NJ: NEW_JERSEY,
  NM: NEW_MEXICO,
  NV: NEVADA,
  NY: NEW_YORK,
  OH: OHIO,
  OK: OKLAHOMA,
  OR: OREGON,
  PA: PENNSYLVANIA,
  RI: RHODE_ISLAND,
  SC: SOUTH_CAROLINA,
  SD: SOUTH_DAKOTA,
  TN: TENNESSEE,
  TX: TEXAS,
  UT: UTAH,
  VA: VIRGINIA,
  VT: VERMONT,
  WA: WASHINGTON,
  WI: WISCONSIN,
  WV: WEST_VIRGINIA,
  WY: WYOMING,
};

/** Every state, its returns written out by the deposit frequencies that they follow. */
export const STATES: Readonly<Record<StateCode, StateRules>> = Object.fromEntries(
  Object.entries(FOLDERS).map(([code, state]) => [
    code,
    {
      ...state,
      returns: writtenOut(
        state.returns,
        (state.deposits ?? []).filter(({ family }) => family === `${code}-SIT`),
      ),
    },
  ]),
) as unknown as Record<StateCode, StateRules>;

const BY_CODE: ReadonlyMap<string, StateRules> = new Map(Object.entries(STATES));
export const findState = (code: string): StateRules | null => BY_CODE.get(code) ?? null;
export const ALL_STATES: readonly StateRules[] = STATE_CODES.map((code) => STATES[code]);
