import { practicePort, type TakenFrame } from '../../../workers/ports';
import type { RollOrder } from '../../../practice/roll';

/** Has the practice camera take rolls one after the other. @param onFrame told of each frame as it is there */
export async function shootRolls(
	rolls: readonly RollOrder[],
	signal: AbortSignal,
	onShare: (share: number) => void,
	onFrame: (frame: TakenFrame) => void
): Promise<void> {
	const all = rolls.reduce((sum, { frames }) => sum + frames, 0);
	let done = 0;
	for (const order of rolls) {
		await practicePort.ask(
			'roll',
			{ order, from: 0 },
			{
				signal,
				tell: (news) => {
					if (news.kind === 'share') onShare((done + news.share) / all);
					if (news.kind !== 'frame') return;
					done += 1;
					onFrame(news);
				}
			}
		);
	}
}
