import type { Highs } from 'highs';
import type { IntegerOutcome, IntegerProgram, IntegerSolver } from '../core/solvers/integer';

/**
 * Loads the general solver of integer programs; some 3.5 MB, so only when it is asked for. `wasmUrl` is where its
 * binary is served; left out, it is read from beside the package (Node).
 */
export async function loadIntegerSolver(wasmUrl?: string): Promise<IntegerSolver> {
	const { default: loadHighs } = await import('highs');
	return solveWith(await loadHighs(wasmUrl ? { locateFile: () => wasmUrl } : {}));
}

/** Relative gap at which a program counts as solved. */
const GAP = 1e-7;
/**
 * A hand's breadth over a capacity is over it: rows hold to this, in shares of the capacity. Now and then the solver gives
 * up at it; then it is asked again less sharply, and who asked looks whether the rows hold.
 */
const FEASIBLE = [1e-9, 1e-7];

function solveWith(highs: Highs): IntegerSolver {
	const { modelStatus, objectiveSense, variableType, callbackType } = highs.constants;
	const solveTo = (
		feasible: number,
		{ cost, whole, starts, columns, coefficients, low, high }: IntegerProgram,
		{ start, seconds, onBound }: Parameters<IntegerSolver>[1]
	): IntegerOutcome =>
		highs.withModel(
			{
				numCols: cost.length,
				numRows: low.length,
				sense: objectiveSense.minimize,
				colCost: cost,
				colLower: new Float64Array(cost.length),
				colUpper: new Float64Array(cost.length).fill(1),
				rowLower: low,
				rowUpper: high,
				integrality: Int32Array.from(whole, (is) =>
					is ? variableType.integer : variableType.continuous
				),
				matrix: {
					format: 'csr',
					numRows: low.length,
					numCols: cost.length,
					starts,
					indices: columns,
					values: coefficients
				}
			},
			(model): IntegerOutcome => {
				model.options.set({
					output_flag: false,
					time_limit: seconds,
					mip_rel_gap: GAP,
					mip_feasibility_tolerance: feasible,
					primal_feasibility_tolerance: feasible
				});
				model.setSolution({ colValue: start });
				let heard = -Infinity;
				model.run({
					[callbackType.mipInterrupt](event) {
						const { mip_dual_bound: bound } = event.data;
						if (bound === undefined || !Number.isFinite(bound) || bound <= heard) return;
						heard = bound;
						if (onBound?.(bound)) event.interrupt();
					}
				});
				const bound = Number(model.info.get('mip_dual_bound'));
				return model.getModelStatus() === modelStatus.optimal
					? { status: 'optimal', values: model.getSolution().colValue, bound }
					: { status: 'stopped', bound };
			}
		);
	return (program, options) => {
		for (const feasible of FEASIBLE)
			try {
				return solveTo(feasible, program, options);
			} catch (error) {
				if (!gaveUp(error)) throw error;
			}
		return { status: 'stopped', bound: -Infinity };
	};
}

/** Whether the solver failed at the work itself, not at how it was asked. */
const gaveUp = (error: unknown): boolean =>
	error instanceof Error && 'operation' in error && error.operation === 'run';
