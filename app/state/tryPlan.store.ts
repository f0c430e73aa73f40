import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { Sheet } from '@core/schema/records'

/** A sheet as it is planned, to be tried before paper is used: what of it is known. */
export type TryPlan = Pick<Sheet, 'process' | 'choices'> & Partial<Omit<Sheet, 'process' | 'choices'>>

/** The plan that is tried at the moment; it is kept only for as long as the app is open. */
export const useTryPlan = defineStore('tryPlan', () => ({ plan: shallowRef<TryPlan | null>(null) }))
