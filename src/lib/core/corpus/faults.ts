/** A routine with one thing wrong: a line changed, added or taken out, and the rule that must find it. */
export interface Fault {
	/** The rule that finds it. */
	readonly rule: string;
	readonly in: string;
	/** A piece of the text, and what stands there instead. */
	readonly change: readonly [from: string, to: string];
	/** What follows from it, and is graver than the rule that names it. */
	readonly also?: readonly string[];
}

/** What practitioners get wrong, one at a time, in routines that are otherwise sound. */
export const FAULTS: readonly Fault[] = [
	// What may hurt.
	{ rule: 'eye-cap', in: 'outlet-harbour-morning', change: ['ring finger, 6', 'ring finger, medium, 6'] },
	{
		rule: 'eye-cap',
		in: 'crown-sinus',
		change: ['inner-canthus, ring finger, light', 'inner-canthus, ring finger, medium']
	},
	{
		rule: 'throat-cap',
		in: 'rise-sails',
		change: ['hand over hand, light, 16 each side', 'hand over hand, medium, 16 each side']
	},
	{
		rule: 'neck-cap',
		in: 'release-masseter-deep',
		change: ['release temple,', 'release sternocleidomastoid, two fingers, rock, firm, 20 s each side\nrelease temple,']
	},
	{
		rule: 'neck-both-sides',
		in: 'release-masseter-deep',
		change: ['release temple,', 'release sternocleidomastoid, two fingers, press hold, medium, 20 s\nrelease temple,']
	},
	{
		rule: 'neck-both-sides',
		in: 'release-inside',
		change: [
			'release buccal,',
			'release sternocleidomastoid, two fingers, press hold, medium, 20 s left only, support at sternocleidomastoid:right stays\n.. because "fuller there"\nrelease buccal,'
		]
	},
	{
		rule: 'neck-both-sides',
		in: 'release-inside',
		change: [
			'release buccal,',
			'release buccal, two fingers, press hold, medium, 20 s left only, beside sternocleidomastoid + sternocleidomastoid:right doing knuckles medium\n.. because "fuller there"\nrelease buccal,'
		]
	},
	{
		rule: 'throat-cap',
		in: 'rise-sails',
		change: ['hand over hand, light, 16 each side', 'hand over hand, light, 16 each side, swells to medium']
	},
	{
		rule: 'tape-wear',
		in: 'release-frown-tape',
		change: ['for 2 to 3 h first wear', 'for 4 to 6 h first 5 h']
	},
	{ rule: 'collarbone-cap', in: 'rise-twice', change: ['close n:terminus, 8', 'close n:terminus, medium, 8'] },
	{
		rule: 'node-cap',
		in: 'nape-l-and-j',
		change: ['open n:tonsillar, two pads, j-pump, 6', 'open n:tonsillar, two pads, j-pump, medium, 6']
	},
	{
		rule: 'eye-cap',
		in: 'every-press-swipe-lift',
		change: ['next lift hold zygoma for 1 s', 'next lift hold lower-eyelid medium for 1 s']
	},
	{
		rule: 'cold-too-long',
		in: 'outlet-globes-travel',
		change: ['with cold globes, 2 breaths', 'with cold globes, 6 breaths']
	},
	{
		rule: 'inside-gloves',
		in: 'release-inside',
		change: ['release nasolabial, gloved thumb inside, with gloves', 'release nasolabial, gloved thumb inside']
	},
	{
		rule: 'inside-after',
		in: 'release-inside',
		change: [
			'cleanse, of hands, 30 s\n\n~ Drain',
			'drain buccal > masseter > n:tonsillar, with gloves, 4, glide light-oil 3 drops\n\n~ Drain'
		]
	},
	{
		rule: 'inside-time',
		in: 'release-inside',
		change: ['press hold, medium, 40 s each side', 'press hold, medium, 150 s each side']
	},
	{
		rule: 'scent-near-eye',
		in: 'outlet-harbour-morning',
		change: ['glide light-oil 20 drops', 'glide scented-oil 20 drops']
	},
	// What undoes the work.
	{
		rule: 'outlet-closed',
		in: 'every-lantern',
		change: ['open n:axillary + n:terminus + n:deep-cervical', 'open n:axillary + n:deep-cervical']
	},
	{
		rule: 'opening-missing',
		in: 'outlet-side-by-side',
		change: ['n:submental + n:preauricular, 6', 'n:preauricular, 6']
	},
	{
		rule: 'receiver-closed',
		in: 'every-lantern',
		change: ['n:submandibular + n:submental + n:preauricular, 6', 'n:submental + n:preauricular, 6']
	},
	{
		rule: 'neck-first',
		in: 'every-fan-figure',
		change: ['drain sternocleidomastoid > supraclavicular, 5 each side\n', '']
	},
	{
		rule: 'stranded',
		in: 'crown-sinus',
		change: ['drain postauricular > sternocleidomastoid > supraclavicular, flat hand, 6 each side\n', '']
	},
	{
		rule: 'stranded',
		in: 'nape-double-chin',
		change: ['drain postauricular > sternocleidomastoid > supraclavicular, 6 each side\n', '']
	},
	{
		rule: 'stranded',
		in: 'crown-brush-dry',
		change: ['drain malar > zygoma > preauricular > n:preauricular, 6', 'drain malar > zygoma, 6']
	},
	{ rule: 'closing-pump', in: 'outlet-stone-canal', change: ['close n:terminus, 7, pace 1 s\n', ''] },
	{
		rule: 'closing-pump',
		in: 'rise-sails',
		change: ['close n:terminus, 8, pace 1 s', 'close n:axillary, 8, pace 1 s']
	},
	{
		rule: 'against-drainage',
		in: 'outlet-harbour-morning',
		change: ['drain malar > zygoma > preauricular > n:preauricular, 6', 'drain preauricular > zygoma > malar, 6']
	},
	{
		rule: 'throat-straight-down',
		in: 'outlet-harbour-morning',
		change: ['drain preauricular > n:preauricular > n:tonsillar, 5', 'drain throat > supraclavicular > n:terminus, 5']
	},
	{
		rule: 'throat-straight-down',
		in: 'nape-double-chin',
		change: [
			'drain submental > under-jaw > n:submandibular, three fingers, 8',
			'drain submental > throat > sternocleidomastoid, three fingers, 8'
		]
	},
	{
		rule: 'jaw-short',
		in: 'nape-pregnant',
		change: ['drain chin > jawline > under-jaw > n:submandibular, 6', 'drain chin > jawline, 6'],
		also: ['stranded']
	},
	{
		rule: 'jaw-short',
		in: 'every-lantern',
		change: ['drain jawline > under-jaw > n:submandibular, 6 each side', 'drain buccal > jawline, 6 each side']
	},
	{
		rule: 'lift-down',
		in: 'rise-sails',
		change: ['lift brow > forehead-lateral > hairline', 'lift hairline > forehead-medial > brow']
	},
	{
		rule: 'lift-down',
		in: 'rise-cheekbone-tide',
		change: ['lift marionette > nasolabial > malar', 'lift malar > nasolabial > marionette']
	},
	{
		rule: 'fluid-cap',
		in: 'every-mirror-self',
		change: [
			'drain malar > zygoma > preauricular > n:preauricular, 5',
			'drain malar > zygoma > preauricular > n:preauricular, medium, 5'
		]
	},
	{
		rule: 'muscle-cap',
		in: 'rise-twice',
		change: [
			'lift buccal > malar > zygoma, knuckles, stroke, 8',
			'lift buccal > malar > zygoma, knuckles, stroke, firm, 8'
		]
	},
	{
		rule: 'layers-mixed',
		in: 'release-masseter-deep',
		change: ['close n:terminus', 'release temple, three pads, pinned circle, firm, 10, pace 0.7 s\nclose n:terminus']
	},
	{ rule: 'no-glide', in: 'rise-cheekbone-tide', change: ['prepare, 20 s, glide light-oil 1 ml\n', ''] },
	{
		rule: 'tape-on-oil',
		in: 'release-frown-tape',
		change: ['cleanse forehead-medial + glabella, of skin, sweep, with cloth, 30 s\n', '']
	},
	{ rule: 'tape-wear', in: 'release-frown-tape', change: ['for 2 to 3 h first wear', 'for 2 to 8 h first wear'] },
	{
		rule: 'tape-opposed',
		in: 'nape-tape-fan',
		change: [
			'fix submental, no movement, with tape, 30 s, strip 60 × 40 mm anchor n:submandibular held 10 mm for 3 h first wear, choice tapes fan\nfix marionette, no movement, with tape, 30 s each side, strip 20 × 10 mm for 3 h first wear, choice tapes squares',
			'fix marionette, no movement, with tape, 30 s each side, strip 20 × 10 mm for 3 h first wear\nfix buccal, no movement, with tape, 30 s each side, strip 20 × 10 mm for 3 h first wear'
		]
	},
	{
		rule: 'taped-skin',
		in: 'nape-tape-fan',
		change: ['cleanse submental, of skin, press hold, 5 min, later', 'stimulate submental, tap, 20 s']
	},
	{
		rule: 'uneven-sides',
		in: 'rise-roller-noon',
		change: [
			'lift jawline > masseter > preauricular, sweep, with roller, light, 8 each side',
			'lift jawline > masseter > preauricular, sweep, with roller, light, 8 left only'
		]
	},
	{ rule: 'two-hands', in: 'rise-sails', change: ['hand over hand, light, 16 each side', 'hand over hand, light, 16'] },
	{ rule: 'over-budget', in: 'crown-headache', change: ['time 12:00', 'time 4:00'] },
	{
		rule: 'deep-too-long',
		in: 'release-masseter-deep',
		change: ['heel of the hand, knead, firm, 40 s each side', 'heel of the hand, knead, firm, 200 s each side']
	},
	{
		rule: 'unknown-medium',
		in: 'outlet-harbour-morning',
		change: ['glide light-oil 20 drops', 'glide "camellia" 20 drops']
	},
	// Craft.
	{
		rule: 'opening-order',
		in: 'outlet-globes-travel',
		change: ['open n:axillary, 5\nopen n:terminus, 5\n', 'open n:terminus, 5\nopen n:axillary, 5\n']
	},
	{
		rule: 'nearest-first',
		in: 'outlet-side-by-side',
		change: [
			'drain sternocleidomastoid > n:deep-cervical > n:terminus, 5\n',
			'drain sternocleidomastoid > n:deep-cervical > n:terminus, 5\ndrain forehead-medial > forehead-lateral > temple > preauricular > n:preauricular, 5\n'
		]
	},
	{
		rule: 'mouth-ends-down',
		in: 'rise-twice',
		change: [
			'lift marionette, two pads, lift hold, 4, pace 3 s',
			'stimulate nasolabial > marionette, tap along, 8, pace 2 s'
		]
	},
	{
		rule: 'neck-direction',
		in: 'outlet-stone-canal',
		change: [
			'~ Jaw and cheek\n',
			'~ Jaw and cheek\nlift sternocleidomastoid > jawline, flat hand, sweep, light, 8 each side\n'
		]
	},
	{
		rule: 'deep-then-drain',
		in: 'release-masseter-deep',
		change: ['drain masseter > n:tonsillar > n:deep-cervical, 6\ndrain temple > preauricular > n:preauricular, 6\n', '']
	},
	{
		rule: 'dry-after-oil',
		in: 'nape-double-chin',
		change: ['release nape, three pads, pinned circle, medium, 10', 'release nape, pinch grip, skin lift, medium, 6']
	},
	{
		rule: 'rushed-drain',
		in: 'outlet-harbour-morning',
		change: [
			'drain malar > zygoma > preauricular > n:preauricular, 6',
			'drain malar > zygoma > preauricular > n:preauricular, 6, pace 0.8 s'
		]
	},
	{
		rule: 'dose-range',
		in: 'crown-waterfall',
		change: [
			'drain malar > zygoma > preauricular > n:preauricular, medium, 8',
			'drain malar > zygoma > preauricular > n:preauricular, medium, 30'
		]
	},
	{
		rule: 'jaw-clenched',
		in: 'release-masseter-deep',
		change: ['firm, 10, pace 0.7 s, and back, mouth parted', 'firm, 10, pace 0.7 s, and back']
	},
	{ rule: 'hands-clean', in: 'crown-waterfall', change: ['cleanse, of hands, 30 s\n', ''] },
	{ rule: 'tools-clean', in: 'outlet-stone-canal', change: ['cleanse, of tool, 20 s\nprepare', 'prepare'] },
	{
		rule: 'lid-contact',
		in: 'crown-waterfall',
		change: [
			'drain lower-eyelid > outer-canthus > temple > preauricular, ring finger, 5',
			'drain lower-eyelid > outer-canthus > temple > preauricular, thumb, 5'
		]
	},
	{
		rule: 'exercise-by',
		in: 'rise-exercise-evening',
		change: ['mouth tongue up, pose 5 s', 'mouth tongue up, pose 5 s, by practitioner']
	},
	{
		rule: 'eyes-open',
		in: 'crown-waterfall',
		change: [
			'drain upper-eyelid > outer-canthus > temple > preauricular, ring finger, 5',
			'drain upper-eyelid > outer-canthus > temple > preauricular, ring finger, 5, eyes open'
		]
	},
	{
		rule: 'self-reach',
		in: 'rise-exercise-evening',
		change: ['~ Rise\n', '~ Rise\nrelease nape, fist, knead, medium, 30 s\n']
	},
	{
		rule: 'contradiction',
		in: 'crown-headache',
		change: [
			'release temple, three pads, pinned circle, medium, 10, pace 0.7 s, and back',
			'release temple, three pads, press hold, medium, 3, pace 5 s, and back'
		]
	},
	{
		rule: 'back-and-forth',
		in: 'rise-sails',
		change: [
			'lift brow > forehead-lateral > hairline, three fingers, stroke, 8, pace 1.5 s',
			'lift brow > forehead-lateral > hairline, three fingers, stroke, 8, pace 1.5 s\nlift buccal > malar > zygoma, flat hand, stroke, 8, pace 1.5 s'
		]
	},
	{
		rule: 'skin-rubbed',
		in: 'rise-cheekbone-tide',
		change: ['three fingers, hand over hand, 20 each side', 'three fingers, hand over hand, 30 each side, 4 lanes']
	},
	{ rule: 'film-spent', in: 'release-masseter-deep', change: ['glide light-oil 1 ml', 'glide light-oil 2 drops'] },

	// All that is pressed at one moment, on every side, and what is for later.
	{
		rule: 'neck-both-sides',
		in: 'release-masseter-deep',
		change: [
			'release temple,',
			'release sternocleidomastoid, two fingers, press hold, medium, 20 s left only, beside sternocleidomastoid:right\n.. because "fuller there"\nrelease temple,'
		]
	},
	{
		rule: 'neck-both-sides',
		in: 'release-inside',
		change: [
			'release buccal,',
			'release sternocleidomastoid, two fingers, press hold, medium, 20 s each side, beside sternocleidomastoid:left\nrelease buccal,'
		]
	},
	{
		rule: 'throat-cap',
		in: '19',
		change: [
			'fingers split at the jaw, stroke, medium, 7 to 10 each side',
			'fingers split at the jaw, stroke, medium, 7 to 10 each side, support at throat'
		]
	},
	{
		rule: 'tape-on-oil',
		in: 'release-frown-tape',
		change: [
			'cleanse forehead-medial + glabella, of skin, sweep, with cloth, 30 s',
			'cleanse forehead-medial + glabella, of skin, sweep, with cloth, 30 s left only\n.. because "it was forgotten"'
		]
	},
	{
		rule: 'no-glide',
		in: '01',
		change: [
			'prepare, glide light-oil 20 drops, 20 s',
			'prepare zygoma + malar + nose-wing + temple + preauricular + ear, glide light-oil 20 drops, 20 s left only\n.. because "so far"'
		]
	},
	{
		rule: 'tape-removal',
		in: 'release-frown-tape',
		change: [
			'cleanse glabella, of skin, press hold, 5 min, later',
			'cleanse glabella, of skin, press hold, 20 s, later'
		]
	},
	{
		rule: 'tape-removal',
		in: 'release-frown-tape',
		change: ['cleanse glabella, of skin, press hold, 5 min, later', 'cleanse glabella, of skin, press hold, 5 min']
	},
	{
		rule: 'tape-removal',
		in: 'release-frown-tape',
		change: ['\ncleanse glabella, of skin, press hold, 5 min, later', '']
	},
	{
		rule: 'eye-cap',
		in: 'release-frown-tape',
		change: ['5 min, later', '5 min, later\nrelease upper-eyelid, ring finger, press hold, medium, 20 s, later']
	},
	{
		rule: 'edge-cap',
		in: '09',
		change: [
			'comb 15°, stationary circle, light, 10 s each side',
			'comb 15°, stationary circle, medium, 10 s each side'
		]
	},

	// Dry drainage is judged as any other.
	{ rule: 'closing-pump', in: '15', change: ['close n:terminus, stationary circle, 8 to 10, pace 1 s\n', ''] },
	{
		rule: 'outlet-closed',
		in: '15',
		change: ['open n:terminus, stationary circle, 8 to 10 each side\n', '']
	},
	{
		rule: 'receiver-closed',
		in: '15',
		change: ['open n:submandibular, 8 to 10\n', '']
	},
	{
		rule: 'neck-first',
		in: '15',
		change: [
			'drain sternocleidomastoid > supraclavicular > n:terminus, flat hand, stretch the skin, light, 5 over all each side\n.. why "The skin is stretched, not slid over."\n',
			''
		]
	},
	{
		rule: 'against-drainage',
		in: '15',
		change: [
			'drain forehead-medial > forehead-lateral > temple > preauricular > n:preauricular',
			'drain n:preauricular > preauricular > temple > forehead-lateral > forehead-medial'
		]
	},
	{
		rule: 'stranded',
		in: '15',
		change: ['outer-canthus > temple > preauricular > n:preauricular, ring finger', 'outer-canthus, ring finger']
	},
	{
		rule: 'stranded',
		in: 'crown-sinus',
		change: [
			'drain postauricular > sternocleidomastoid > supraclavicular, flat hand, 6 each side',
			'drain postauricular > sternocleidomastoid > supraclavicular, flat hand, 6 left only\n.. because "fuller there"'
		]
	},
	{
		rule: 'opening-missing',
		in: 'outlet-harbour-morning',
		change: ['open armpit, flat hand, 5\n', '']
	},

	{ rule: 'course-rest', in: '11', change: ['course 3 a week', 'course 1 a day for 10 days, then 1–2 a week'] },
	{
		rule: 'course-rest',
		in: 'release-masseter-deep',
		change: ['course 2 a week for 4 weeks', 'course daily for 3 weeks with 1 rest day a week']
	},
	{ rule: 'course-rest', in: 'release-frown-tape', change: ['time 12:00', 'time 12:00\ncourse daily'] },

	// The school's own ways.
	{
		rule: 'nape-missing',
		in: 'nape-double-chin',
		change: [
			'release nape, pinch grip, knead, medium, 40 s midline, pace 2 s\nrelease nape, three pads, pinned circle, medium, 10, pace 0.7 s\ndrain nape > supraclavicular > n:terminus, flat hand, 6\n',
			'drain sternocleidomastoid > supraclavicular > n:terminus, flat hand, 6 each side\n'
		]
	},
	{ rule: 'drain-policy', in: '01', change: ['links policy\n', ''] },
	{
		rule: 'drain-policy',
		in: 'nape-lanes',
		change: ['drain preauricular > n:preauricular > n:tonsillar, 5\n', '']
	},
	{
		rule: 'middle-twice',
		in: '05',
		change: [
			'lift nose-wing > malar > zygoma > temple, hand over hand',
			'lift chin, flat hand, lift hold, medium, 5 s\nlift nose-wing > malar > zygoma > temple, hand over hand'
		]
	}
];
