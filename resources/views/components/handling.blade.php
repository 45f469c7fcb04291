{{-- Everything that can be done to a source while it is in use; the same on the rig and on the desk. --}}
@props(['id', 'name', 'kind', 'deck' => false, 'clip' => false, 'device' => false, 'hasPicture' => true, 'music' => false])
<div {{ $attributes->class('space-y-3') }} x-data="handling('{{ $id }}')">
    @if ($deck)
        <div class="flex flex-wrap items-center gap-2" aria-label="Pages of {{ $name }}" role="group">
            <button type="button" class="button min-h-11 px-3" @click="turnPage(-1)" data-testid="page-back" aria-label="{{ $name }}: page back">◀</button>
            <p class="min-w-16 text-center font-semibold tabular-nums" data-testid="page-now"><span x-text="page"></span> / <span x-text="entry?.deck?.pages"></span></p>
            <button type="button" class="button min-h-11 px-3" @click="turnPage(1)" data-testid="page-next" aria-label="{{ $name }}: next page">▶</button>
            <form class="flex gap-1" @submit.prevent="goTo(Number($refs.jump.value)); $refs.jump.value = ''">
                <input x-ref="jump" class="field min-h-11 w-16 px-2" type="number" min="1" aria-label="Go to page of {{ $name }}" data-testid="page-jump"><button class="button min-h-11 px-3">Go</button>
            </form>
        </div>
    @endif
    @if ($clip)
        <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Playing {{ $name }}">
            <button type="button" class="button min-h-11" @click="togglePlay()" data-testid="play" x-text="playing ? 'Pause' : 'Play'">Play</button>
            <button type="button" class="button min-h-11" @click="cue()" data-testid="cue">To the cue</button>
            <p class="tabular-nums" data-testid="clip-time"><span x-text="stands"></span> <span class="text-soft">· left <span x-text="remaining"></span></span></p>
        </div>
        <input type="range" class="w-full accent-(--accent)" min="0" :max="entry?.clip?.length_ms" :value="position" @change="seek($event.target.valueAsNumber)" aria-label="Position of {{ $name }}">
        <div class="flex flex-wrap items-center gap-2">
            <button type="button" class="button-quiet" @click="setCue()">Cue here</button>
            <label class="flex items-center gap-2 text-sm text-soft">at the end
                <select class="field min-h-9 w-auto px-2" :value="entry?.clip?.end" @change="set({ end: $event.target.value })" data-testid="clip-end">
                    @foreach (\Rhetorix\Core\Rig\Live\ClipEnd::cases() as $end)<option value="{{ $end->value }}">{{ $end->label() }}</option>@endforeach
                </select></label>
        </div>
    @endif
    @if ($hasPicture)
        <div class="flex flex-wrap gap-2" role="group" aria-label="Handling {{ $name }}">
            @unless ($deck || $clip)
                <button type="button" class="button min-h-11" @click="freeze()" :aria-pressed="now.frozen" data-testid="freeze" x-text="now.frozen ? 'Release' : 'Freeze'">Freeze</button>
            @endunless
            <button type="button" class="button min-h-11" @click="blank()" :aria-pressed="now.blank" data-testid="blank" x-text="now.blank ? 'Show again' : 'Blank'">Blank</button>
            <button type="button" class="button min-h-11 px-3" @click="turn('left')" aria-label="Turn {{ $name }} to the left" title="A quarter turn to the left">↺</button>
            <button type="button" class="button min-h-11 px-3" @click="turn('right')" data-testid="turn-right" aria-label="Turn {{ $name }} to the right" title="A quarter turn to the right">↻</button>
            <button type="button" class="button min-h-11" @click="turn('mirror')" data-testid="mirror">Mirror</button>
            <button type="button" class="button min-h-11" @click="turn('flip')" data-testid="flip">Flip</button>
        </div>
        <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Magnify {{ $name }}">
            <span class="text-sm font-semibold text-soft">Magnify</span>
            <template x-for="step in steps" :key="step"><button type="button" class="button min-h-9 px-2.5" :aria-pressed="magnify === step" @click="setMagnify(step)" x-text="`${step}×`"></button></template>
            <span class="text-sm text-soft">or click a point of the picture</span>
        </div>
        <div class="flex flex-wrap items-center gap-1">
            <button type="button" class="button-quiet" @click="findBars()" x-show="held" data-testid="find-bars">Find black bars</button>
            <button type="button" class="button min-h-9" x-cloak x-show="bars" @click="cropBars()" data-testid="crop-bars">Crop the bars</button>
            <button type="button" class="button-quiet" x-cloak x-show="isFramed" @click="resetFraming()">As it comes</button>
            <button type="button" class="button min-h-9" x-cloak x-show="isKeyed" @click="sampleBacking()" title="The light has changed: find the backing's colour again" data-testid="sample-backing">Sample the backing again</button>
            @if ($device)<button type="button" class="button-quiet" x-show="held" @click="restart()" data-testid="restart">Restart</button>@endif
        </div>
    @endif
    @if ($kind === 'phone')
        <div class="space-y-2" x-cloak x-show="phone">
            <p class="text-sm text-soft"><span class="font-semibold text-ink" x-text="phone?.name"></span> <span x-show="phone?.name">·</span> Battery <span class="font-semibold text-ink" x-text="phone?.battery === null ? 'not told' : `${phone?.battery} %${phone?.charging ? ', charging' : ''}`"></span> · arrives at <span class="font-semibold text-ink" x-text="bitrate || '…'"></span></p>
            <label class="flex items-center gap-2 text-sm" x-show="phone?.can.zoom">Zoom <input type="range" class="grow accent-(--accent)" :min="phone?.can.zoom?.min" :max="phone?.can.zoom?.max" :step="phone?.can.zoom?.step" :value="phone?.settings.zoom" @change="setPhone({ zoom: $event.target.valueAsNumber })"></label>
            <label class="flex items-center gap-2 text-sm" x-show="phone?.can.exposure">Exposure <input type="range" class="grow accent-(--accent)" :min="phone?.can.exposure?.min" :max="phone?.can.exposure?.max" :step="phone?.can.exposure?.step" :value="phone?.settings.exposure" @change="setPhone({ exposure: $event.target.valueAsNumber })"></label>
            <button type="button" class="button min-h-9" x-show="phone?.can.torch" :aria-pressed="phone?.settings.torch" @click="setPhone({ torch: !phone?.settings.torch })">Torch</button>
        </div>
    @endif
</div>
