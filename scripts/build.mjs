/** Builds the app unless what it is built from is unchanged. */
import { build } from './prepare.mjs';

build();
