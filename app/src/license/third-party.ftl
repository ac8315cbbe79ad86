<#-- The notices that ship: every library with its licences, then what is vendored. -->
Embrack stands on the work of others.

Fonts: Atkinson Hyperlegible Next and Atkinson Hyperlegible Mono, SIL Open Font License 1.1 (fonts/ has its text).

<#list dependencyMap as e>
<#assign project = e.getKey()/>
<#assign licenses = e.getValue()/>
${project.name} (${project.groupId}:${project.artifactId}:${project.version})
<#list licenses as license>
    ${license}
</#list>
<#if (project.url)?has_content>
    ${project.url}
</#if>
</#list>
