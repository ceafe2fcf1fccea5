<template>
  <colgroup class="max-md:hidden">
    <col class="w-[27%]" />
    <col class="w-[9%]" />
    <col class="w-[25%]" />
    <col />
  </colgroup>
</template>
