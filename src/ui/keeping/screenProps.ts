import type { PlaceName } from '../shared/places';
import type { Session } from './session.svelte';

/** What every screen is handed. */
export interface ScreenProps {
	readonly session: Session;
	readonly ongo: (place: PlaceName) => void;
	readonly onfiles: () => void;
}
