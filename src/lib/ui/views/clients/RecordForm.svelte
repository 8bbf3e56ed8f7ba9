<script lang="ts">
	import { capital } from '$lib/core/capital';
	import { GOAL_IDS, type GoalId } from '$lib/core/goalIds';
	import { GOALS } from '$lib/core/goal/goals';
	import { MEDIA } from '$lib/core/medium/media';
	import type { Medium } from '$lib/core/medium/medium.schema';
	import { SKIN_TONES, type SkinTone } from '$lib/core/client/skinTones';
	import { sidedWords } from '$lib/core/client/sidedZone';
	import type { Client, ClientChange, ClientSeen } from '$lib/core/records/client';
	import { MAX_TEXT, MAX_TITLE } from '$lib/core/step/sizes';
	import KeptField from '../../parts/controls/KeptField.svelte';
	import Segmented from '../../parts/controls/Segmented.svelte';
	import Select from '../../parts/controls/Select.svelte';
	import ConsentForm from './ConsentForm.svelte';
	import PlacePicker from './PlacePicker.svelte';

	interface Props {
		client: Client;
		/** The practitioner's own media. */
		media: readonly Medium[];
		today: string;
		newId: () => string;
		onchange: (id: string, change: ClientChange, seen?: ClientSeen) => void;
		/** What came of the last change. */
		said: string;
	}
	let { client, media, today, newId, onchange, said }: Props = $props();
	const all = $derived([...media, ...MEDIA]);
	const change = (fields: ClientChange) => onchange(client.id, fields);
	const prefer = (fields: Partial<Client['preferences']>) => change((stored) => ({ preferences: { ...stored.preferences, ...fields } }));
	/**
	 * Keeps a text of the client for whom it was begun, whoever is shown by then. Where another text is stored meanwhile, both
	 * are kept.
	 */
	const kept =
		(read: (client: Client) => string, write: (client: Client, text: string) => Partial<Client>) =>
		(text: string, id: string, from: string): void => {
			const other = (stored: Client) => ![from.trim(), text.trim()].includes(read(stored).trim());
			onchange(id, (stored) => write(stored, text), other);
		};
	const keepName = kept(
		(c) => c.name,
		(_, text) => ({ name: text.trim() })
	);
	const toggled = <T,>(list: readonly T[], item: T): T[] => (list.includes(item) ? list.filter((x) => x !== item) : [...list, item]);
	/** A liked medium is not disliked, and the other way round. */
	function feel(id: string, how: 'likes' | 'dislikes' | 'neither') {
		change(({ preferences: p }) => {
			const without = (list: readonly string[]) => list.filter((x) => x !== id);
			const next = { ...p, likes: without(p.likes), dislikes: without(p.dislikes) };
			if (how !== 'neither') next[how] = [...next[how], id];
			return { preferences: next };
		});
	}
	const feeling = (id: string) =>
		client.preferences.likes.includes(id) ? 'likes' : client.preferences.dislikes.includes(id) ? 'dislikes' : 'neither';
	const yearText = ({ birthYear }: Pick<Client, 'birthYear'>) => (birthYear === null ? '' : String(birthYear));
	const putYear = kept(yearText, (_, text) => ({ birthYear: text.trim() ? Number(text.trim()) : null }));
	function keepYear(text: string, id: string, from: string): string | void {
		const year = Number(text.trim());
		if (text.trim() && (!Number.isInteger(year) || year < 1900 || year > Number(today.slice(0, 4))))
			return `Year of birth: give a year between 1900 and ${today.slice(0, 4)}, or leave it empty.`;
		putYear(text, id, from);
	}
</script>

<div class="space-y-3">
	<KeptField
		label="Name or code"
		maxlength={MAX_TITLE}
		value={client.name}
		of={client.id}
		onkeep={(text, id, from) => (text.trim() ? keepName(text, id, from) : 'A code or a name is needed; the old one stays.')}
	/>
	<KeptField
		label="Client alert"
		rows={2}
		maxlength={MAX_TEXT}
		placeholder="Read before each session"
		value={client.cautions}
		of={client.id}
		onkeep={kept(
			(c) => c.cautions,
			(_, cautions) => ({ cautions })
		)}
	/>
	<KeptField
		label="Note"
		rows={3}
		maxlength={MAX_TEXT}
		value={client.note}
		of={client.id}
		onkeep={kept(
			(c) => c.note,
			(_, note) => ({ note })
		)}
	/>
	<div class="grid grid-cols-2 gap-3">
		<KeptField
			label="Contact, if she wants it kept"
			maxlength={MAX_TEXT}
			value={client.contact}
			of={client.id}
			onkeep={kept(
				(c) => c.contact,
				(_, contact) => ({ contact })
			)}
		/>
		<KeptField label="Year of birth, if wanted" maxlength={4} value={yearText(client)} of={client.id} onkeep={keepYear} />
	</div>
	<div class="flex flex-wrap gap-x-4 gap-y-2">
		<div>
			<span class="label">Performed by</span><Segmented
				label="Performed by"
				value={client.performer}
				options={[
					{ value: 'client', label: 'Me' },
					{ value: 'self', label: 'Herself' }
				]}
				onchange={(performer) => change({ performer })}
			/>
		</div>
		<div>
			<span class="label">Pressure</span><Segmented
				label="Pressure"
				value={client.preferences.pressure}
				options={[
					{ value: 'lighter', label: 'Lighter' },
					{ value: 'usual', label: 'As planned' },
					{ value: 'firmer', label: 'Firmer' }
				]}
				onchange={(pressure) => prefer({ pressure })}
			/>
		</div>
		<div>
			<span class="label">Cheeks</span><Segmented
				label="Cheeks"
				value={client.preferences.cheekRoute}
				options={[
					{ value: 'either', label: 'Either' },
					{ value: 'outward', label: 'Outwards' },
					{ value: 'downward', label: 'Down' }
				]}
				onchange={(cheekRoute) => prefer({ cheekRoute })}
			/>
		</div>
		<div>
			<span class="label">Skin of her figure</span><Select
				label="Skin of her figure"
				value={client.skinTone ?? 'settings'}
				options={[{ value: 'settings', label: 'As in the settings' }, ...SKIN_TONES.map((tone) => ({ value: tone, label: capital(tone) }))]}
				onchange={(tone) => change({ skinTone: tone === 'settings' ? null : (tone as SkinTone) })}
			/>
		</div>
	</div>
	<fieldset>
		<legend class="label">Goals, the most wanted first</legend>
		<ol class="text-[13px]">
			{#each client.goals as id, i (id)}
				<li class="border-hair flex min-h-8 items-center gap-2 border-b">
					<span class="min-w-0 flex-1">{i + 1}. {GOALS[id].label}</span>
					<button
						type="button"
						class="btn"
						disabled={i === 0}
						aria-label="{GOALS[id].label}: more wanted"
						onclick={() => change(({ goals }) => ({ goals: goals.with(i, goals[i - 1]!).with(i - 1, id) }))}>Up</button
					>
					<button
						type="button"
						class="btn"
						aria-label="Take out {GOALS[id].label}"
						onclick={() => change(({ goals }) => ({ goals: goals.filter((g) => g !== id) }))}>×</button
					>
				</li>
			{/each}
		</ol>
		<Select
			label="Add a goal"
			value="none"
			options={[
				{ value: 'none', label: 'Add a goal' },
				...GOAL_IDS.filter((id) => !client.goals.includes(id)).map((id) => ({ value: id, label: GOALS[id].label }))
			]}
			onchange={(id) => id !== 'none' && change(({ goals }) => ({ goals: toggled(goals, id as GoalId) }))}
			class="mt-1.5"
		/>
	</fieldset>
	<fieldset>
		<legend class="label">Media</legend>
		<ul class="grid grid-cols-1 gap-1 sm:grid-cols-2">
			{#each all as medium (medium.id)}
				<li class="flex items-center justify-between gap-2 text-[13px]">
					<span class="truncate">{medium.title}</span>
					<Segmented
						label={medium.title}
						value={feeling(medium.id)}
						options={[
							{ value: 'dislikes', label: 'No' },
							{ value: 'neither', label: '–' },
							{ value: 'likes', label: 'Likes' }
						]}
						onchange={(how) => feel(medium.id, how)}
					/>
				</li>
			{/each}
		</ul>
	</fieldset>
	<KeptField
		label="Room"
		maxlength={MAX_TEXT}
		value={client.preferences.room}
		of={client.id}
		onkeep={kept(
			(c) => c.preferences.room,
			(c, room) => ({ preferences: { ...c.preferences, room } })
		)}
	/>
	<KeptField
		label="Voice"
		maxlength={MAX_TEXT}
		value={client.preferences.voice}
		of={client.id}
		onkeep={kept(
			(c) => c.preferences.voice,
			(c, voice) => ({ preferences: { ...c.preferences, voice } })
		)}
	/>
	<KeptField
		label="Other allergies"
		maxlength={MAX_TEXT}
		value={client.allergies}
		of={client.id}
		onkeep={kept(
			(c) => c.allergies,
			(_, allergies) => ({ allergies })
		)}
	/>
	<fieldset>
		<legend class="label">Sides that have always differed</legend>
		<p class="text-[13px]">{sidedWords(client.asymmetry.places).join('; ') || 'None noted.'}</p>
		<PlacePicker
			places={client.asymmetry.places}
			ontoggle={(place) => change(({ asymmetry }) => ({ asymmetry: { ...asymmetry, places: toggled(asymmetry.places, place) } }))}
		/>
		<div class="mt-2">
			<KeptField
				label="How they differ, and since when"
				maxlength={MAX_TEXT}
				value={client.asymmetry.note}
				of={client.id}
				onkeep={kept(
					(c) => c.asymmetry.note,
					(c, note) => ({ asymmetry: { ...c.asymmetry, note } })
				)}
			/>
		</div>
	</fieldset>
	<ConsentForm {client} {today} {newId} onchange={change} />
	<p class="text-ink3 min-h-4 text-[11.5px]" role="status">{said}</p>
</div>
