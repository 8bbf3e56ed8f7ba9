<script lang="ts">
	// Markup only.
</script>

<ul class="marker:text-flag mt-3 list-disc space-y-1.5 pl-5 text-[13.5px] leading-5">
	<li><b>Not medical care.</b> Nothing here diagnoses or treats an illness.</li>
	<li><b>Stop</b> on pain, dizziness, numbness or breathlessness.</li>
	<li>
		<b>Do not treat, refer:</b> fever or infection, a lump that is hard, fixed or growing, sudden one-sided swelling with redness and heat, a
		blood clot, a sudden droop of the face, severe heart failure.
	</li>
	<li>
		<b>Only with medical clearance:</b> cancer now or before, lymph nodes removed or irradiated, heart, kidney or liver failure, carotid disease
		or fainting when the neck is touched, thyroid disease, recent surgery, pregnancy, epilepsy, blood thinners.
	</li>
	<li>
		<b>Leave out</b> broken, burnt, inflamed or freshly treated skin; after injections wait as the injector says.
	</li>
	<li><b>Local codes and your licence come first.</b> Refer what you cannot explain.</li>
</ul>
