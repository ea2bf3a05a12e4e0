<?php

/* What is one of several says so to a person: in words of its own, which no other of them has. */

/** @return array<string, array{class-string<BackedEnum>, string}> enums of the trade that say something of a case */
function enumsThatSay(): array
{
    $say = [];
    foreach (glob('core/*/*.php') ?: [] as $file) {
        $class = 'KeepPace\\Core\\'.strtr(substr($file, 5, -4), '/', '\\');
        if (! enum_exists($class)) {
            continue;
        }
        foreach ((new ReflectionEnum($class))->getMethods() as $method) {
            $type = $method->getReturnType();
            $isText = $type instanceof ReflectionNamedType && $type->getName() === 'string' && ! $type->allowsNull();
            if ($isText && ! $method->isStatic() && $method->isPublic() && $method->getNumberOfParameters() === 0) {
                $say["{$class}::{$method->name}"] = [$class, $method->name];
            }
        }
    }

    return $say;
}

it('says each of its cases in words', function (string $enum, string $method) {
    foreach ($enum::cases() as $case) {
        $says = $case->{$method}();
        expect($says)->not->toMatch('/_|  |^\s|\s$|[A-Z]{4}/', "{$case->name}: '{$says}'");
    }
})->with(fn (): array => enumsThatSay());

it('says no two alike', function (string $enum) {
    $labels = array_map(fn (BackedEnum $case): string => call_user_func([$case, 'label']), $enum::cases());
    expect($labels)->toBe(array_unique($labels))->not->toContain('');
})->with(fn (): array => array_filter(enumsThatSay(), fn (array $one): bool => $one[1] === 'label'));
