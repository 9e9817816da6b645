import { brisa } from './brisa';
import { cassian } from './cassian';
import type { DemoPerson } from './history';
import { ingrith } from './ingrith';
import { leocadia } from './leocadia';
import { maren } from './maren';
import { odalys } from './odalys';
import { odran } from './odran';
import { rufus } from './rufus';

export const PEOPLE: DemoPerson[] = [odalys, brisa, cassian, leocadia, rufus, maren, odran, ingrith];
