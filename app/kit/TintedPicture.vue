<template>
  <!-- In the dim room the content is shown as amber light only: multiplied by the picture's ground colour. -->
  <div class="TintedPicture"><slot /></div>
</template>

<style scoped>
.TintedPicture {
  background: var(--es-picture);
  isolation: isolate;
}

html[data-palette='dim'] .TintedPicture > :deep(*) {
  filter: grayscale(1);
  mix-blend-mode: multiply;
}
</style>
