import { json } from '@sveltejs/kit';
import { CORE_VERSION } from '$lib/core/version';

export const GET = () => json({ status: 'ok', core: CORE_VERSION });
