<script setup lang="ts">
import { mdiLinkVariant, mdiLinkVariantOff } from '@mdi/js';
import { texts } from '../../../texts/index.ts';
import IconButton from '../../../ui/IconButton.vue';

/** Whether a value is shared with the set or one label's own; a press makes it the other. */
defineProps<{ own: boolean; thing: string }>();
defineEmits<{ toggle: [] }>();
</script>

<template>
  <IconButton
    :icon="own ? mdiLinkVariantOff : mdiLinkVariant"
    :name="own ? texts.set.share : texts.set.own(thing)"
    :pressed="own"
    @click="$emit('toggle')"
  />
</template>
