<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Unit;
use KeepPace\Core\Refused;

/* Every refusal the rules of the trade know by name: a whole sentence, with what it is about in it. */

/** @return array<string, array{class-string<Refused>, string}> */
function namedRefusals(): array
{
    $named = [];
    foreach ([...glob('core/*/*Refused.php') ?: [], ...glob('core/*/*/*Refused.php') ?: []] as $file) {
        $class = 'KeepPace\\Core\\'.strtr(substr($file, 5, -4), '/', '\\');
        foreach ((new ReflectionClass($class))->getMethods(ReflectionMethod::IS_STATIC) as $method) {
            $type = $method->getReturnType();
            if ($method->isPublic() && $method->class === $class
                && $type instanceof ReflectionNamedType && in_array($type->getName(), ['self', $class], true)) {
                $named[class_basename_of($class)."::{$method->name}"] = [$class, $method->name];
            }
        }
    }

    return $named;
}

function class_basename_of(string $class): string
{
    return substr((string) strrchr($class, '\\'), 1);
}

/** Something of that type that can be found again in a sentence. */
function sampleOf(ReflectionParameter $of): mixed
{
    $type = $of->getType();
    $name = $type instanceof ReflectionNamedType ? $type->getName() : 'string';
    if ($of->name === 'field') {
        return 'quantity';
    }

    return match (true) {
        $name === 'int' => 4711,
        $name === 'bool' => true,
        $name === 'array' && $of->name === 'against' => ['It is down.', 'It is held back.'],
        $name === 'array' => ['Lathe A' => 'P-4711', 'Lathe B' => 'P-4712'],
        $name === 'string' => "[{$of->name}]",
        $name === BigDecimal::class => BigDecimal::of('47.11'),
        $name === Unit::class => new Unit('kg', 'kilogram', 3),
        enum_exists($name) => $name::cases()[0],
        default => throw new LogicException("Nothing is known of a {$name}."),
    };
}

/** @return list<mixed> */
function samplesFor(string $class, string $method): array
{
    return array_map(sampleOf(...), (new ReflectionMethod($class, $method))->getParameters());
}

it('is a sentence a person can read', function (string $class, string $method) {
    /** @var Refused $refused */
    $refused = $class::$method(...samplesFor($class, $method));
    foreach ($refused->reasons as $field => $says) {
        expect($says)->toMatch('/^[\p{Lu}\d\[\']/u', "{$says}: begins like a sentence")
            ->toMatch('/[.?)]$/', "{$says}: ends like one")
            ->not->toMatch('/  |\s[.,]|\.\.|\bnull\b|\bArray\b|Object|Closure/', "{$says}: nothing is left in")
            ->and(mb_strlen($says))->toBeLessThan(400)
            ->and((string) $field)->toMatch('/^([a-z_.]+|\d+)$/');
    }
    expect($refused)->toBeInstanceOf($class)->and($refused->getMessage())->toBe(implode(' ', $refused->reasons));
})->with(fn (): array => namedRefusals());

it('names what it is about', function (string $class, string $method) {
    $reflected = new ReflectionMethod($class, $method);
    $refused = $class::$method(...samplesFor($class, $method));
    $told = implode(' ', [...$refused->reasons, ...array_map(strval(...), array_keys($refused->reasons))]);
    $missing = [];
    foreach ($reflected->getParameters() as $of) {
        $type = $of->getType();
        if ($type instanceof ReflectionNamedType && $type->getName() === 'string' && $of->name !== 'field') {
            str_contains($told, "[{$of->name}]") ?: $missing[] = $of->name;
        }
    }
    expect($missing)->toBe([]);
})->with(fn (): array => namedRefusals());

it('knows the field of the first sentence alone, and all sentences at once', function () {
    $both = new Refused(['quantity' => 'Type a quantity.', 'item' => 'Say which item.']);
    expect($both->field())->toBe('quantity')
        ->and($both->getMessage())->toBe('Type a quantity. Say which item.')
        ->and(Refused::because('No.')->field())->toBeNull()
        ->and(Refused::because('No.', 'reason')->reasons)->toBe(['reason' => 'No.']);
});
