import { lookAtScreens } from './lookAt';
import { session } from './session';

/** The other half of all screens. */
lookAtScreens(session(), 1);
