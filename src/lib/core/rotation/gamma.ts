/** Logarithm of the gamma function (Lanczos, g = 7; absolute error under 1e-12 for x > 0). */
export function logGamma(x: number): number {
	const C = [
		0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313,
		-176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6,
		1.5056327351493116e-7
	];
	const y = x - 1;
	const sum = C.slice(1).reduce((total, c, i) => total + c / (y + i + 1), C[0]!);
	const t = y + 7.5;
	return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

const MOST_TERMS = 500;

/**
 * The chance that a gamma variable of a shape (and scale 1) is at most `x`: the regularised lower incomplete gamma
 * function, by its series below shape + 1 and by a continued fraction above (Lentz).
 */
export function gammaShare(x: number, shape: number): number {
	if (x <= 0) return 0;
	const front = Math.exp(shape * Math.log(x) - x - logGamma(shape));
	if (x < shape + 1) {
		let term = 1 / shape;
		let sum = term;
		for (let n = 1; n < MOST_TERMS && term > sum * 1e-15; n++) {
			term *= x / (shape + n);
			sum += term;
		}
		return Math.min(1, sum * front);
	}
	let b = x + 1 - shape;
	let c = 1e300;
	let d = 1 / b;
	let h = d;
	for (let n = 1; n < MOST_TERMS; n++) {
		const a = -n * (n - shape);
		b += 2;
		d = 1 / (a * d + b || 1e-300);
		c = b + a / c || 1e-300;
		h *= d * c;
		if (Math.abs(d * c - 1) < 1e-14) break;
	}
	return Math.max(0, 1 - front * h);
}

/**
 * The value below which a gamma variable of a shape (and scale 1) stays with a chance of `share`, by halving; right to
 * 9 digits. `share` lies between 0 and 1, both left out; `shape` above 0.
 * @example gammaQuantile(0.5, 1) // 0.6931…, the median of an exponential
 */
export function gammaQuantile(share: number, shape: number): number {
	let low = 0;
	let high = Math.max(1, shape) * 2;
	while (gammaShare(high, shape) < share) high *= 2;
	for (let i = 0; i < 60 && high - low > high * 1e-10; i++) {
		const middle = (low + high) / 2;
		if (gammaShare(middle, shape) < share) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}
