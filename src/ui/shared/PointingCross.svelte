<script lang="ts">
	import { pointingCrossText as say } from '$words/screens/shared';
	import { untrack } from 'svelte';

	/** Lies over a picture and takes a place on it, by a tap or by a cross that arrows move, with Shift finely. */
	interface Props {
		/** What is to be pointed at: how to do it is added for the keyboard. */
		label: string;
		/** Where the cross begins, share of the picture. */
		down?: number;
		takesFocus?: boolean;
		/** Nothing is taken meanwhile. */
		isWaiting?: boolean;
		/** Shares of the picture, from its top left. */
		onpoint: (across: number, down: number) => void;
	}

	let {
		label,
		down: begin = 0.5,
		takesFocus = false,
		isWaiting = false,
		onpoint
	}: Props = $props();

	let cross = $state({ across: 0.5, down: untrack(() => begin) });
	let button = $state<HTMLButtonElement>();
	$effect(() => {
		if (takesFocus) button?.focus();
	});

	const STEP_SHARE = 0.01;
	const FINE_STEP_SHARE = 0.002;
	const WAYS: Readonly<Record<string, readonly [right: number, down: number]>> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	const within = (share: number) => Math.min(1, Math.max(0, share));

	function move(event: KeyboardEvent) {
		const way = WAYS[event.key];
		if (!way) return;
		event.preventDefault();
		event.stopPropagation();
		const by = event.shiftKey ? FINE_STEP_SHARE : STEP_SHARE;
		cross = { across: within(cross.across + by * way[0]), down: within(cross.down + by * way[1]) };
	}

	function tap(event: MouseEvent) {
		event.stopPropagation();
		if (isWaiting) return;
		// by keyboard there is no place: it is where the cross is
		if (event.detail > 0 && button) {
			const box = button.getBoundingClientRect();
			cross = {
				across: within((event.clientX - box.left) / box.width),
				down: within((event.clientY - box.top) / box.height)
			};
		}
		onpoint(cross.across, cross.down);
	}
</script>

<button type="button" aria-disabled={isWaiting} bind:this={button} onclick={tap} onkeydown={move}>
	<span class="sr-only">{say.arrowsMoveTheCrossWithShift(label)}</span>
	<i aria-hidden="true" style:left="{100 * cross.across}%" style:top="{100 * cross.down}%"></i>
</button>

<style>
	button {
		position: absolute;
		inset: 0;
		cursor: crosshair;
		z-index: 2;
		/* beyond the picture it would be cut off */
		outline-offset: -3px;
	}
	button[aria-disabled='true'] {
		cursor: progress;
	}
	i {
		display: none;
		position: absolute;
		width: 16px;
		height: 16px;
		translate: -50% -50%;
		background:
			linear-gradient(#fffdf7, #fffdf7) center / 2px 100% no-repeat,
			linear-gradient(#fffdf7, #fffdf7) center / 100% 2px no-repeat;
		filter: drop-shadow(0 0 1px #000);
	}
	button:focus-visible i {
		display: block;
	}
</style>
