<script setup lang="ts">
import { texts } from '../words'
import FileChoice from '../../../kit/FileChoice.vue'
import BigTarget from '../../../kit/BigTarget.vue'
import ChoiceRow from '../../../kit/ChoiceRow.vue'
import EmptyPage from '../../../kit/EmptyPage.vue'
import { momentSaid } from '../../../words/moments'
import TextField from '../../../kit/TextField.vue'
import QuantityField from '../../../kit/QuantityField.vue'
import TintedPicture from '../../../kit/TintedPicture.vue'
import { registerLines } from '../registerWords'
import { useRegisterPage } from '../useRegisterPage'

const {
  router,
  now,
  one,
  size,
  border,
  lower,
  upper,
  LAYERS,
  faults,
  fault,
  isReading,
  input,
  read,
  isKept,
  register,
  advice,
  checks,
  take,
  keep,
  worstOf,
} = useRegisterPage()
</script>

<template>
  <EmptyPage
    v-if="!one"
    kicker="Prints"
    title="Sheet not found"
    action="All prints"
    @act="router.push({ name: 'prints' })"
  >
    <p>{{ texts.registerCheckNeedsSheetWith }}</p>
  </EmptyPage>

  <div v-else class="RegisterPage">
    <header>
      <p class="es-kicker">Sheet {{ one.sheet.number }} · {{ one.sheet.title }}</p>
      <h1>Register of the layers</h1>
    </header>
    <div class="RegisterPage-fields">
      <TextField v-model="size" label="Picture size" :fault="faults.size" />
      <QuantityField
        v-model="border"
        label="Film border, mm"
        :fault="faults.border"
        dimension="length"
        unit="mm"
      />
      <ChoiceRow v-model="lower" label="Lower layer" :options="LAYERS" />
      <ChoiceRow v-model="upper" label="Upper layer" :options="LAYERS" />
    </div>
    <p v-if="faults.layers" role="alert" class="RegisterPage-fault">
      {{ faults.layers.problem }} {{ faults.layers.remedy }}
    </p>
    <FileChoice
      ref="input"
      label="Scan or photo of the sheet"
      accept="image/jpeg,image/png,image/tiff,image/webp,.tif,.tiff"
      @chosen="take"
    />
    <p v-if="fault" role="alert" class="RegisterPage-fault">{{ fault.problem }} {{ fault.remedy }}</p>

    <div v-if="read && register" class="RegisterPage-read">
      <TintedPicture class="RegisterPage-picture">
        <canvas ref="canvas" :width="read.width" :height="read.height" />
        <svg :viewBox="`0 0 ${read.width} ${read.height}`" role="img" aria-label="Register marks found">
          <circle
            v-for="([x, y], i) in read.seen.lower"
            :key="`l${i}`"
            class="is-lower"
            :cx="x * read.scale"
            :cy="y * read.scale"
            r="14"
          />
          <rect
            v-for="([x, y], i) in read.seen.upper"
            :key="`u${i}`"
            class="is-upper"
            :x="x * read.scale - 12"
            :y="y * read.scale - 12"
            width="24"
            height="24"
          />
        </svg>
      </TintedPicture>
      <div>
        <p v-for="line in advice" :key="line" class="RegisterPage-advice">{{ line }}</p>
        <dl>
          <template v-for="[name, value] in registerLines(register)" :key="name">
            <dt>{{ name }}</dt>
            <dd>{{ value }}</dd>
          </template>
        </dl>
        <p class="es-quiet">Round: lower layer. Square: upper layer.</p>
      </div>
    </div>

    <div class="RegisterPage-acts">
      <BigTarget
        :quiet="!!read"
        :label="isReading ? 'Reading…' : read ? 'Choose another scan or photo' : 'Choose a scan or photo'"
        hint="p"
        :disabled="isReading"
        @press="input?.open()"
      />
      <BigTarget v-if="read && !isKept" label="Save with this sheet" hint=" " @press="keep" />
    </div>
    <section v-if="checks.length" aria-label="Earlier checks">
      <h2>Earlier</h2>
      <p v-for="check in checks" :key="check.id">
        {{ momentSaid(check.at, now.now) }}, {{ check.picture }}: largest error {{ worstOf(check) }} mm
      </p>
    </section>
  </div>
</template>

<style scoped>
.RegisterPage {
  display: grid;
  gap: var(--es-space-5);
}

.RegisterPage-fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: var(--es-space-3) var(--es-space-6);
}

.RegisterPage-fault {
  color: var(--es-ember);
}

.RegisterPage-read {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--es-space-7);
}

.RegisterPage-picture {
  display: grid;
  place-self: start;
  box-shadow: var(--es-shadow);
}

.RegisterPage-picture canvas,
.RegisterPage-picture svg {
  grid-area: 1 / 1;
  width: auto;
  max-width: 100%;
  height: auto;
  max-height: 430px;
}

svg circle,
svg rect {
  fill: none;
  stroke: var(--es-ember);
  stroke-width: 3;
}

svg rect {
  stroke: var(--es-ink);
}

.RegisterPage-advice {
  margin-bottom: var(--es-space-3);
  font: 400 var(--es-size-lead)/1.4 var(--es-serif);
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: var(--es-space-2) var(--es-space-5);
  margin: var(--es-space-5) 0;
}

dt {
  color: var(--es-quiet);
}

dd {
  margin: 0;
}

.RegisterPage-acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--es-space-4);
}

h2 {
  font-size: var(--es-size-lead);
}

@media (width <= 51.25em) {
  .RegisterPage-read {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
