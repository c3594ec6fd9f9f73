<script setup lang="ts">
import type { LinkListed, LinkMade, PersonListed, Role } from '#contract/firm'
import { momentWords } from '~/utils/moments'
import { problemOf, saving } from '~/utils/api'

/** Who works here; owners invite, change and let go. */
const props = defineProps<{ self: string }>()
const { data: people, error } = await useAsyncData('people', () => $fetch<PersonListed[]>('/api/people'))
const { data: links, refresh: refreshLinks } = await useAsyncData('open-links', () =>
  $fetch<LinkListed[]>('/api/people/links').catch(() => []),
)
const made = ref<{ link: string; what: string }>()
const message = ref(error.value ? problemOf(error.value).message : '')
const busy = ref('')
const letting = ref('')

async function run(what: string, work: () => Promise<void>): Promise<void> {
  if (busy.value) return
  busy.value = what
  message.value = ''
  const saved = await saving(work)
  if (!saved.ok) message.value = saved.problem.message
  await refreshLinks()
  busy.value = letting.value = ''
}
const link = (what: string, body: object) =>
  run(what, async () => {
    const { secret } = await $fetch<LinkMade>('/api/people/links', { method: 'POST', body })
    made.value = { link: `${window.location.origin}/join#${secret}`, what }
  })
const invite = (role: Role) => link(t('firm.letsOnePersonJoin', { role }), { kind: 'invitation', role })
const reset = (person: PersonListed) =>
  link(t('firm.letsSetANew', { name: person.name }), { kind: 'reset', personId: person.id })
const change = (person: PersonListed, role: Role, active: boolean) =>
  run(person.id, async () => {
    people.value = await $fetch<PersonListed[]>(`/api/people/${person.id}`, { method: 'PUT', body: { role, active } })
  })
const linkWords = (one: LinkListed) =>
  one.kind === 'invitation'
    ? t('firm.invitationAs', { role: one.role })
    : t('firm.newPasswordFor', { forWhom: one.forWhom })
const revoke = (one: LinkListed) =>
  run(one.id, async () => {
    await $fetch(`/api/people/links/${one.id}`, { method: 'DELETE' })
    made.value = undefined
  })
const copied = ref(false)
async function copy(): Promise<void> {
  if (!made.value) return
  await navigator.clipboard.writeText(made.value.link).then(
    () => {
      copied.value = true
    },
    () => {
      copied.value = false
    },
  )
}
</script>

<template>
  <section class="people">
    <h2>{{ t('firm.people') }}</h2>
    <ul>
      <li v-for="person in people ?? []" :key="person.id" :class="{ gone: !person.active }">
        <span class="who"
          ><b>{{ person.name }}</b
          ><i
            >{{ person.email }},
            {{ person.active ? t('firm.ownerOrTechnician', { role: person.role }) : t('firm.noLonger') }}</i
          ></span
        >
        <span v-if="person.id !== props.self" class="acts">
          <template v-if="letting === person.id">
            <span>{{ t('firm.removeWhatThey', { name: person.name }) }}</span>
            <UButton
              size="sm"
              color="error"
              :loading="busy === person.id"
              @click="change(person, person.role, false)"
              >{{ t('firm.remove') }}</UButton
            >
            <UButton size="sm" variant="outline" @click="letting = ''">{{ t('firm.keep') }}</UButton>
          </template>
          <template v-else-if="person.active">
            <UButton
              size="sm"
              variant="outline"
              @click="change(person, person.role === 'owner' ? 'technician' : 'owner', true)"
              >{{ t('firm.makeOwnerOwner', { role: person.role }) }}</UButton
            >
            <UButton size="sm" variant="outline" @click="reset(person)">{{ t('firm.newPassword') }}</UButton>
            <UButton size="sm" variant="outline" @click="letting = person.id">{{ t('firm.remove') }}</UButton>
          </template>
          <UButton v-else size="sm" variant="outline" @click="change(person, person.role, true)">{{
            t('firm.takeBack')
          }}</UButton>
        </span>
        <span v-else class="small">{{ t('firm.you2') }}</span>
      </li>
    </ul>
    <div class="acts">
      <UButton variant="outline" @click="invite('technician')">{{ t('firm.inviteATechnician') }}</UButton>
      <UButton variant="outline" @click="invite('owner')">{{ t('firm.inviteAnOwner') }}</UButton>
    </div>
    <div v-if="made" class="panel made" role="status">
      <b>{{ t('firm.onceWithin7Days', { what: made.what }) }}</b>
      <input
        :value="made.link"
        readonly
        :aria-label="t('firm.theLink')"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <span class="acts"
        ><UButton size="sm" color="primary" @click="copy">{{
          copied ? t('firm.copied') : t('firm.copyTheLink')
        }}</UButton
        ><span class="small">{{ t('firm.handItOverYourself') }}</span></span
      >
    </div>
    <div v-if="links?.length" :aria-label="t('firm.openLinks')" role="group">
      <h3>{{ t('firm.openLinks') }}</h3>
      <ul>
        <li v-for="one in links" :key="one.id">
          <span class="who"
            ><b>{{ linkWords(one) }}</b
            ><i>{{
              t('firm.madeByEnds', {
                madeBy: one.madeBy,
                madeAt: momentWords(one.madeAt),
                expiresAt: momentWords(one.expiresAt),
              })
            }}</i></span
          >
          <UButton
            size="sm"
            variant="outline"
            :loading="busy === one.id"
            :aria-label="t('firm.revoke', { one: linkWords(one) })"
            @click="revoke(one)"
            >{{ t('firm.revoke2') }}</UButton
          >
        </li>
      </ul>
    </div>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </section>
</template>

<style scoped>
.people {
  display: grid;
  gap: 10px;
}
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
h3 {
  font-weight: 650;
}
li {
  display: flex;
  gap: 6px 14px;
  justify-content: space-between;
  align-items: center;
  flex-wrap: wrap;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.who {
  display: flex;
  flex-direction: column;
}
.who i {
  font-style: normal;
  color: var(--ink-2);
  font-size: 12.5px;
}
.gone {
  background: var(--chalk);
}
.acts {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.made {
  padding: 10px 12px;
  display: grid;
  gap: 8px;
}
.made input {
  width: 100%;
  border: 1px solid var(--rule-2);
  padding: 6px 8px;
  background: var(--lime);
  font-size: 12.5px;
}
</style>
