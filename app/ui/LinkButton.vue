<template>
  <button class="link" type="button"><slot /></button>
</template>
