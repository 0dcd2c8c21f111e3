import { loadGraphModel, type GraphModel } from '@tensorflow/tfjs-converter';
import { setWasmPaths } from '@tensorflow/tfjs-backend-wasm';
import plainUrl from '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm.wasm?url';
import simdUrl from '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm-simd.wasm?url';
import { env, ready, setBackend, type io } from '@tensorflow/tfjs-core';
import detectorWeights from '$models/blazeface.bin?url';
import detectorGraph from '$models/blazeface.json?url';
import meshWeights from '$models/facemesh.bin?url';
import meshGraph from '$models/facemesh.json?url';
import irisWeights from '$models/iris.bin?url';
import irisGraph from '$models/iris.json?url';

/**
 * The models that find faces, and nothing else of them: where a face is, the points of its surface, the
 * edges of its irises. Nobody is recognised; no age, sex or feeling is guessed: those models are not shipped.
 * Bazarevsky et al., "BlazeFace", 2019; Kartynnik et al., "Real-time facial surface geometry", 2019;
 * Ablavatski et al., "Real-time pupil tracking", 2020.
 */
export interface FaceModels {
	readonly detector: GraphModel;
	readonly mesh: GraphModel;
	readonly iris: GraphModel;
}

let loading: Promise<FaceModels> | null = null;

/**
 * The models, fetched when first asked for and kept.
 * @throws when they cannot be fetched; they may be asked for again
 */
export function faceModels(): Promise<FaceModels> {
	loading ??= load().catch((error: unknown) => {
		loading = null;
		throw error;
	});
	return loading;
}

async function load(): Promise<FaceModels> {
	// more threads need a page that is cut off from all others
	env().set('WASM_HAS_MULTITHREAD_SUPPORT', false);
	setWasmPaths({
		'tfjs-backend-wasm.wasm': plainUrl,
		'tfjs-backend-wasm-simd.wasm': simdUrl,
		'tfjs-backend-wasm-threaded-simd.wasm': simdUrl
	});
	const [detector, mesh, iris] = await Promise.all([
		fetchModel(detectorGraph, detectorWeights),
		fetchModel(meshGraph, meshWeights),
		fetchModel(irisGraph, irisWeights),
		setBackend('wasm').then(() => ready())
	]);
	return {
		detector: await loadGraphModel(detector),
		mesh: await loadGraphModel(mesh),
		iris: await loadGraphModel(iris)
	};
}

/** What the JSON file of a model holds, as far as it is read here. */
interface GraphFile {
	readonly modelTopology: io.ModelArtifacts['modelTopology'];
	readonly signature?: io.ModelArtifacts['signature'];
	readonly weightsManifest: readonly { readonly weights: io.WeightsManifestEntry[] }[];
}

async function fetchModel(graphUrl: string, weightsUrl: string): Promise<io.IOHandler> {
	const [graph, weights] = await Promise.all([fetched(graphUrl), fetched(weightsUrl)]);
	const file = (await graph.json()) as GraphFile;
	const artifacts: io.ModelArtifacts = {
		modelTopology: file.modelTopology,
		signature: file.signature,
		weightSpecs: file.weightsManifest.flatMap((part) => part.weights),
		weightData: await weights.arrayBuffer()
	};
	return { load: () => Promise.resolve(artifacts) };
}

async function fetched(url: string): Promise<Response> {
	const response = await fetch(url);
	if (!response.ok) throw new Error(`${url}: ${response.status}`);
	return response;
}
