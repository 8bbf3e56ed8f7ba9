import { bell, hill, ramp } from './curve';
import { CLAYS, type FaceSide } from './face.schema';
import { alongEye, EYE } from './features';
import type { StudyHead } from './head';
import type { Lighting } from './light';
import type { Rotation } from './projection';

/** What can lie on a piece of skin: bits of a flag, so that most of it is passed over. */
export const ON_SKIN = { eyes: 1, lips: 2, hair: 4 } as const;

/** A pixel of the head: where on the head it lies, which way it faces, how hollow, how lit. */
export interface Fragment {
	x: number;
	y: number;
	z: number;
	readonly normal: Float32Array;
	cavity: number;
	lit: number;
}
/** Paints over the colour at `o` of a picture. */
export type Painter = (flag: number, at: Fragment, picture: Float32Array, o: number) => void;

type Rgb = [number, number, number];
/** Colours that go with the skin. */
export function coloursOf(head: StudyHead) {
	const skin = CLAYS[head.face.clay];
	const tone = 0.3 * skin[0] + 0.5 * skin[1] + 0.2 * skin[2] - 0.35;
	const hair: Rgb = [0.115 + 0.12 * tone, 0.082 + 0.085 * tone, 0.066 + 0.06 * tone];
	return { skin, hair, lips: [0.9 * skin[0], 0.7 * skin[1], 0.665 * skin[2]] as Rgb };
}

/**
 * Hair, lips, brows, eyes and lashes, painted pixel by pixel: their edges are sharp at any size, and they are the same
 * curves that the landmarks lie on.
 * @param softMm half a pixel, mm: how wide an edge is
 */
export function painterOf(head: StudyHead, lighting: Lighting, rotation: Rotation, softMm: number): Painter {
	const { features, face } = head;
	const { key, shade, level } = lighting;
	const colours = coloursOf(head);
	const made = new Float32Array(3);
	const albedo = new Float32Array(3);
	const turned = new Float32Array(3);
	const cover = (picture: Float32Array, o: number, share: number, add = 0, factor = 1) => {
		for (let k = 0; k < 3; k++) picture[o + k] = picture[o + k]! + (made[k]! * factor + add - picture[o + k]!) * share;
	};
	const darken = (picture: Float32Array, o: number, r: number, g: number, b: number) => {
		picture[o] = picture[o]! * (1 - r);
		picture[o + 1] = picture[o + 1]! * (1 - g);
		picture[o + 2] = picture[o + 2]! * (1 - b);
	};
	const towards = (picture: Float32Array, o: number, [r, g, b]: Rgb, share: number) => {
		picture[o] = picture[o]! + (r - picture[o]!) * share;
		picture[o + 1] = picture[o + 1]! + (g - picture[o + 1]!) * share;
		picture[o + 2] = picture[o + 2]! + (b - picture[o + 2]!) * share;
	};
	const tinted = (colour: readonly number[], factor: number | Rgb) => {
		for (let k = 0; k < 3; k++) albedo[k] = colour[k]! * (typeof factor === 'number' ? factor : factor[k]!);
		return albedo;
	};

	const hair: Painter = (_, { x, y, z, normal, cavity, lit }, picture, o) => {
		const ax = Math.abs(x);
		const under = head.hair(x, y, z) + 0.18 * Math.sin(ax * 1.7 + y * 0.9) + 0.14 * Math.sin(ax * 0.71 + 1);
		const share = under > -1.6 ? ramp(-1.5, 2, under) * ramp(74, 60, y) : 0;
		if (share <= 0.003) return;
		const way = Math.atan2(x, z + 40);
		const strands =
			Math.sin(way * 46 + y * 0.05) +
			0.6 * Math.sin(way * 101 + 1.7 + y * 0.09) +
			0.4 * Math.sin(way * 211 + y * 0.13 + 4);
		const shine = 0.55 * bell((y + 86 - 0.16 * ax) / 8) * (0.6 + 0.4 * Math.sin(ax * 0.9 + y * 0.2));
		shade(normal, tinted(colours.hair, 1 + 0.075 * strands + shine), cavity * 0.6, lit, 0.3 + 0.16 * strands, made);
		cover(picture, o, share, 0, 0.9);
	};

	const lips: Painter = (_, { x, y, normal, cavity, lit }, picture, o) => {
		const [ax, side]: [number, FaceSide] = [Math.abs(x), x >= 0 ? 'L' : 'R'];
		if (ax >= 28) return;
		const line = features.mouth(ax, side);
		const [upper, lower] = [features.lipUpper(ax, side), features.lipLower(ax, side)];
		const share =
			ramp(upper - 0.5 - softMm, upper + 0.5 + softMm, y) *
			ramp(lower + 0.9 + softMm, lower - 0.7 - softMm, y) *
			ramp(27, 23, ax);
		if (share > 0.003) {
			const grain = 0.029 * Math.sin(ax * 2.6 + 0.4 * Math.sin(y));
			shade(normal, tinted(colours.lips, 1 + grain), cavity * 0.9, lit, 1, made);
			cover(picture, o, share * 0.92, 0.1 * Math.exp(-(((y - line - 4.6) / 2) ** 2) - (ax / 11) ** 2) * lit * level);
		}
		const seam = bell((y - line) / (0.55 + softMm * 0.6)) * Math.max(0, 1 - (ax / 27.2) ** 6) * 0.62;
		darken(picture, o, seam * 0.72, seam * 0.84, seam * 0.84);
	};

	const brow: Painter = (_, { x, y, normal, cavity, lit }, picture, o) => {
		const [ax, side]: [number, FaceSide] = [Math.abs(x), x >= 0 ? 'L' : 'R'];
		if (y >= -10 || ax <= 9 || ax >= 58) return;
		const t = (ax - 11.5) / 43;
		if (t < 0 || t > 1) return;
		const thick = 3.3 * (1 - t) ** 0.6 * (0.7 + 0.3 * Math.min(1, t * 4)) + 0.35;
		const off = Math.abs((y - features.brow(ax, side)) / Math.max(0.3, thick));
		if (off >= 1.9) return;
		const slant = ax * 1.15 - y * (0.95 - 1.25 * t);
		const strands =
			0.5 +
			0.25 * Math.sin(slant * 5.1 + 1.3 * Math.sin(ax * 0.9)) +
			0.25 * Math.sin(slant * 8.7 + 2.1 * Math.sin(y * 1.1));
		shade(normal, tinted(colours.hair, [0.95, 0.88, 0.82]), cavity * 0.3, Math.max(lit, 0.4), 0.2, made);
		cover(
			picture,
			o,
			ramp(1.45, 0.3, off + 0.28 * strands) * ramp(-0.03, 0.18, t) * ramp(1.04, 0.8, t) * (0.7 + 0.22 * strands)
		);
	};

	/** White, iris and pupil, into `albedo`. */
	const ball = (dx: number, dy: number, t: number) => {
		const out = Math.hypot(dx, dy) / EYE.iris;
		const corner = ramp(0.22, -0.02, t) * 0.6 + ramp(0.86, 1.02, t) * 0.35;
		albedo.set([0.82 * (1 - 0.05 * corner), 0.785 * (1 - 0.3 * corner), 0.745 * (1 - 0.32 * corner)]);
		const edge = softMm / EYE.iris;
		const iris = ramp(1 + edge * 0.9, 0.97 - edge * 0.9, out);
		if (iris <= 0) return;
		const around = Math.atan2(dy, dx);
		const rays = 0.86 + 0.1 * Math.sin(around * 23) + 0.07 * Math.sin(around * 41 + 2);
		const glow = 1 + 0.9 * hill(dx, dy, -key[0] * 3.2, -key[1] * 3.4, 3.6, 3) * (out < 1 ? 1 : 0);
		const pupil = ramp(0.4 + edge, 0.36 - edge, out);
		for (let k = 0; k < 3; k++) {
			const ring = face.iris[k]! * rays * (1 - 0.62 * ramp(0.76, 1, out)) * glow;
			const black = [0.014, 0.016, 0.02][k]!;
			albedo[k] = albedo[k]! + (ring + (black - ring) * pupil - albedo[k]!) * iris;
		}
	};

	const eye: Painter = (_, { x, y, lit }, picture, o) => {
		const [ax, side]: [number, FaceSide] = [Math.abs(x), x >= 0 ? 'L' : 'R'];
		if (y <= -14 || y >= 14 || ax <= EYE.inner - 3 || ax >= EYE.outer + 5) return;
		const t = alongEye(ax);
		const [upper, lower] = [features.lidUpper(ax, side), features.lidLower(ax, side)];
		const open =
			ramp(upper - softMm * 0.5, upper + softMm, y) *
			ramp(lower + softMm * 0.5, lower - softMm, y) *
			ramp(-0.005, 0.02, t) *
			ramp(1.005, 0.985, t);
		if (open > 0.003) {
			const dx = x - (x >= 0 ? EYE.x : -EYE.x);
			ball(dx, y, t);
			const [ex, ey] = [dx / EYE.ball, y / EYE.ball];
			const ez = Math.sqrt(Math.max(0.05, 1 - ex * ex - ey * ey));
			for (let k = 0; k < 3; k++)
				turned[k] = (rotation[3 * k]! * ex + rotation[3 * k + 1]! * ey + rotation[3 * k + 2]! * ez) * (k < 2 ? 0.8 : 1);
			const lid = 1 - 0.6 * Math.exp(-(y - upper) / 1.7) - 0.16 * Math.exp(-(lower - y) / 1.1);
			shade(turned, albedo, 0.12, Math.max(lit, 0.45) * 0.9 + 0.1, 0.3, made);
			const wide = 1.05 + softMm * 0.5;
			const glint =
				1.5 * hill(dx, y, key[0] * 3, key[1] * 3.1, wide, wide) +
				0.1 * hill(dx, y, -key[0] * 3.4, -key[1] * 2.6, 1.5, 1.2);
			cover(picture, o, open, glint * level * Math.min(1, lid + 0.25), lid);
		}
		const wet = bell((y - lower - 0.25) / (0.5 + softMm * 0.5)) * ramp(0.02, 0.2, t) * ramp(1, 0.85, t) * 0.132;
		towards(picture, o, [colours.skin[0] * 0.98, colours.skin[1] * 0.8, colours.skin[2] * 0.76], wet);
		const below = bell((y - lower - 1) / 0.55) * ramp(0.3, 0.7, t) * ramp(1.04, 0.95, t) * 0.26;
		darken(picture, o, below, below, below);
		const over = y - upper + 0.25;
		const lash = over > 0 ? 0.45 + softMm * 0.4 : 0.62 + 0.55 * ramp(0.1, 0.9, t) + softMm * 0.3;
		towards(picture, o, [0.06, 0.052, 0.05], bell(over / lash) * ramp(-0.03, 0.14, t) * ramp(1.1, 0.98, t) * 0.86);
	};

	return (flag, at, picture, o) => {
		if (flag & ON_SKIN.hair) hair(flag, at, picture, o);
		if (flag & ON_SKIN.lips) lips(flag, at, picture, o);
		if (!(flag & ON_SKIN.eyes)) return;
		brow(flag, at, picture, o);
		eye(flag, at, picture, o);
	};
}
