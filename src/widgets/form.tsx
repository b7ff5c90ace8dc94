"use client";
import { zodResolver } from "@hookform/resolvers/zod";
import type { InputHTMLAttributes } from "react";
import {
  Controller,
  type DefaultValues,
  type FieldValues,
  get,
  type Path,
  useForm,
  type UseFormReturn,
} from "react-hook-form";
import type { z } from "zod";
import { type Choice, Select } from "./select";
import { TextArea, TextField } from "./field";

/**
 * A form of texts that a schema turns into values; faults show when a field is left, and as it is mended; or at once,
 * where what is typed is used at once.
 */
export const useEntryForm = <Schema extends z.ZodType<FieldValues, FieldValues>>(
  schema: Schema,
  defaultValues: DefaultValues<z.input<Schema>>,
  mode: "onTouched" | "onChange" = "onTouched",
): UseFormReturn<z.input<Schema>, unknown, z.output<Schema>> =>
  useForm<z.input<Schema>, unknown, z.output<Schema>>({
    resolver: zodResolver(schema),
    defaultValues,
    mode,
  });

type FormOf<In extends FieldValues, Out extends FieldValues> = UseFormReturn<In, unknown, Out>;

const errorOf = <In extends FieldValues, Out extends FieldValues>(
  form: FormOf<In, Out>,
  name: Path<In>,
): string | undefined => (get(form.formState.errors, name) as { message?: string } | undefined)?.message;

/** A text field of a form. */
export function FormField<In extends FieldValues, Out extends FieldValues>({
  form,
  name,
  ...rest
}: { form: FormOf<In, Out>; name: Path<In>; label: string; hint?: string } & Omit<
  InputHTMLAttributes<HTMLInputElement>,
  "form" | "name"
>) {
  return <TextField {...rest} {...form.register(name)} error={errorOf(form, name)} />;
}

/** A text area of a form. */
export function FormArea<In extends FieldValues, Out extends FieldValues>({
  form,
  name,
  hint,
  ...rest
}: {
  form: FormOf<In, Out>;
  name: Path<In>;
  label: string;
  hint?: string;
  placeholder?: string;
  className?: string;
}) {
  return <TextArea {...rest} hint={hint} {...form.register(name)} error={errorOf(form, name)} />;
}

/** A choice of a form. */
export function FormSelect<In extends FieldValues, Out extends FieldValues>({
  form,
  name,
  onPick,
  ...rest
}: {
  form: FormOf<In, Out>;
  name: Path<In>;
  label: string;
  choices: readonly Choice[];
  className?: string;
  hideLabel?: boolean;
  /** Told besides of what was chosen. */
  onPick?: (value: string) => void;
}) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <Select
          {...rest}
          value={String(field.value)}
          onChange={(value) => {
            field.onChange(value);
            onPick?.(value);
          }}
        />
      )}
    />
  );
}
