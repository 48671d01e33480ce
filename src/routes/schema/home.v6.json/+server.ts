import { redirect } from '@sveltejs/kit';

/** The address of the sixth layout: it leads to that of today, which every older file is carried up to. */
export const GET = () => redirect(308, '/schema/home.v8.json');
