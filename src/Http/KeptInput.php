<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use AwakeShed\App\Once\RequestKey;
use Symfony\Component\HttpFoundation\Request;

/** What somebody sent with a form that could not be worked on, so that it can be sent again without being typed again. */
final readonly class KeptInput
{
    /** Of all fields together; a form of ours has far less. */
    private const MOST_BYTES = 100_000;

    /** Never kept nor shown: they are secrets, or make no sense the second time. */
    private const NEVER = '/(password|_token)/i';

    /** @param list<array{name: string, value: string}> $fields with their full names, e.g. "intake[claims][tipped]" */
    private function __construct(public string $path, public array $fields)
    {
    }

    /** @return self|null null when nothing was sent that a second sending would need, or too much to keep */
    public static function fromRequest(Request $request): ?self
    {
        $pairs = explode('&', http_build_query($request->request->all()));
        $fields = [];
        foreach ($pairs as $pair) {
            [$name, $value] = array_map(urldecode(...), explode('=', $pair, 2) + ['', '']);
            if ('' !== $name && 1 !== preg_match(self::NEVER, $name)) {
                $fields[] = ['name' => mb_scrub($name), 'value' => mb_scrub($value)];
            }
        }
        if (!$request->isMethod('POST') || [] === $fields || array_sum(array_map(strlen(...), $pairs)) > self::MOST_BYTES) {
            return null;
        }

        // One slash only: two would name another host.
        return new self('/'.ltrim($request->getPathInfo(), '/'), $fields);
    }

    /** @param list<array{name: string, value: string}> $fields of one that was stored */
    public static function again(string $path, array $fields): self
    {
        return new self('/'.ltrim($path, '/'), $fields);
    }

    /** For what is meant as another change than the one its key had made. */
    public function underAFreshKey(): self
    {
        $key = RequestKey::fresh()->value;

        return new self($this->path, array_map(static fn (array $field): array => str_contains($field['name'], 'request_key') ? ['value' => $key] + $field : $field, $this->fields));
    }

    /** What a person typed, without the machinery; for showing. */
    public function isForShow(string $name): bool
    {
        return !str_contains($name, 'request_key') && !str_contains($name, 'based_on') && !\in_array($name, ['back', 'gate'], true);
    }

    /** What was typed into one field; null when it was not among them. */
    public function field(string $name): ?string
    {
        foreach ($this->fields as $field) {
            if ($name === $field['name']) {
                return $field['value'];
            }
        }

        return null;
    }

    /** The name of the field into which something was typed; null when it was into none. */
    public function nameOf(string $typed): ?string
    {
        foreach ($this->fields as $field) {
            if ($typed === trim($field['value'])) {
                return $field['name'];
            }
        }

        return null;
    }

    /** The name of the anti-forgery field that the form expects: Symfony's forms keep theirs inside. */
    public function tokenField(): string
    {
        $name = $this->fields[0]['name'];
        $bracket = strpos($name, '[');

        return false === $bracket ? '_token' : substr($name, 0, $bracket).'[_token]';
    }
}
