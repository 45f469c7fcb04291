{{-- Exposure and white balance at the camera itself, where it offers them. --}}
@props(['source'])
<div class="space-y-2 border-t border-line pt-2" x-data="deviceControls('{{ $source->id }}')" data-testid="device-controls">
    <p class="text-sm font-semibold text-soft">At the camera itself</p>
    <p class="text-sm text-soft" x-show="modes.length === 0 && ranges.length === 0">This camera offers nothing to set, or is held by another computer.</p>
    <template x-for="mode in modes" :key="mode.name">
        <div class="flex items-center gap-2"><span class="w-32 text-sm font-semibold text-soft" x-text="mode.word"></span>
            <button type="button" class="button min-h-9" :aria-pressed="!mode.manual" @click="set({ [mode.name]: 'continuous' })">by itself</button>
            <button type="button" class="button min-h-9" :aria-pressed="mode.manual" @click="set({ [mode.name]: 'manual' })" x-text="'by hand'" :data-testid="`manual-${mode.name}`"></button></div>
    </template>
    <template x-for="range in ranges" :key="range.name">
        <label class="flex items-center gap-2 text-sm font-semibold text-soft"><span class="w-32" x-text="range.word"></span>
            <input type="range" class="grow accent-(--accent)" :min="range.min" :max="range.max" :step="range.step" :value="range.value" @change="set({ [range.name]: $event.target.valueAsNumber })" :data-testid="range.name"></label>
    </template>
</div>
